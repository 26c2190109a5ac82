import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  createMemoryHistory,
  createRootRoute,
  createRoute,
  createRouter,
  Outlet,
  RouterProvider,
} from '@tanstack/react-router';
import { expect, it, vi } from 'vitest';
import { BrokenScreen } from './BrokenScreen';

it('keeps the frame around a screen that breaks, and tries it again', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  vi.spyOn(console, 'warn').mockImplementation(() => undefined);
  window.scrollTo = () => undefined;
  let broken = true;
  const root = createRootRoute({
    component: () => (
      <>
        <p>the frame</p>
        <Outlet />
      </>
    ),
  });
  const fragile = createRoute({
    getParentRoute: () => root,
    path: '/',
    component: () => {
      if (broken) throw new Error('no figure here');
      return <p>the screen</p>;
    },
  });
  const router = createRouter({
    routeTree: root.addChildren([fragile]),
    history: createMemoryHistory(),
    defaultErrorComponent: BrokenScreen,
  });
  render(<RouterProvider router={router as never} />);
  expect(await screen.findByText(/no figure here/)).not.toBeNull();
  expect(screen.getByText('the frame')).not.toBeNull();
  broken = false;
  await userEvent.setup().click(screen.getByRole('button', { name: 'Try again' }));
  expect(await screen.findByText('the screen')).not.toBeNull();
});
