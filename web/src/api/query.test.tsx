import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { expect, test } from 'vitest';
import { Problem } from './client';
import { again, useChange } from './query';

const around = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);

test('what follows a change is called though its part is gone by then', async () => {
  const heard: string[] = [];
  let answer: (text: string) => void = () => undefined;
  const { result, unmount } = renderHook(
    () => useChange(() => new Promise<string>((resolve) => (answer = resolve)), []),
    { wrapper: around },
  );
  result.current.mutate(undefined, { onSuccess: (text) => heard.push(text) });
  await waitFor(() => expect(result.current.isPending).toBe(true));
  unmount();
  answer('deleted');
  await waitFor(() => expect(heard).toEqual(['deleted']));
});

test.each([
  [true, []],
  [false, ['saved']],
])('a change that waits for what it touches: %s', async (waits, atOnce) => {
  const heard: string[] = [];
  let read: (text: string) => void = () => undefined;
  const { result } = renderHook(
    () => {
      const touched = useQuery({
        queryKey: ['card'],
        queryFn: () => new Promise<string>((resolve) => (read = resolve)),
      });
      return { touched, ...useChange(() => Promise.resolve('saved'), [['card']], { waits }) };
    },
    { wrapper: around },
  );
  read('first');
  await waitFor(() => expect(result.current.touched.data).toBe('first'));
  result.current.mutate(undefined, { onSuccess: (text) => heard.push(text) });
  await waitFor(() => expect(result.current.touched.isFetching).toBe(true));
  await Promise.resolve();
  expect(heard).toEqual(atOnce);
  read('second');
  await waitFor(() => expect(heard).toEqual(['saved']));
});

test('what went wrong is heard too, and is no fault of the page where nobody asks', async () => {
  const heard: string[] = [];
  const { result } = renderHook(
    () => useChange((text: string) => Promise.reject(new Error(text)), []),
    { wrapper: around },
  );
  result.current.mutate('refused', { onError: (problem) => heard.push(problem.message) });
  result.current.mutate('not asked for');
  await waitFor(() => expect(heard).toEqual(['refused']));
  await waitFor(() => expect(result.current.error?.message).toBe('not asked for'));
});

test('a server that computes is asked for longer than one that is gone, a refusal never again', () => {
  expect(again(2, new Problem(0, 'gone'))).toBe(true);
  expect(again(3, new Problem(0, 'gone'))).toBe(false);
  for (const busy of [429, 503]) {
    expect(again(14, new Problem(busy, 'busy'))).toBe(true);
    expect(again(15, new Problem(busy, 'busy'))).toBe(false);
  }
  expect(again(0, new Problem(422, 'refused'))).toBe(false);
  expect(again(0, new Error('a fault'))).toBe(false);
});
