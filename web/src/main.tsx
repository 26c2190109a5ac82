import { QueryClientProvider } from '@tanstack/react-query';
import { RouterProvider } from '@tanstack/react-router';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { queryClient } from './api/query';
import './app.css';
import { keepFocus } from './frame/keepFocus';
import { applyTheme } from './frame/theme';
import { openWithoutServer } from './offline/register';
import { sendOwed } from './places/guard/outageQueue';
import { router } from './router';

// Dialogs stop the page behind them from scrolling by a style of their own; the page's policy lets it in by this mark.
setNonce(document.querySelector<HTMLMetaElement>('meta[name=style-nonce]')?.nonce ?? '');
applyTheme();
keepFocus(document);
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
openWithoutServer();
sendOwed();
