import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import type { NewNote, OutageView } from '../../api/types';
import { keepPlan, readKept } from './outageLog';
import { useOutage } from './useOutage';

const HOME = 'a-home';

const view = (more: Partial<OutageView> = {}): OutageView => ({
  id: 'o1',
  homeId: HOME,
  startedAt: '2026-11-12T20:00:00Z',
  cuts: 1,
  lines: { caution: 5, danger: 3.5, loss: 2 },
  tanks: [],
  notes: [],
  ...more,
});

interface Call {
  path: string;
  body: { notes?: NewNote[]; at?: string } | undefined;
}

/** A server that can be silent; it remembers what it was sent. */
const state = {
  current: null as OutageView | null,
  silent: false,
  refuses: 0,
  sent: [] as Call[],
};

function server(current: OutageView | null) {
  Object.assign(state, { current, silent: false, refuses: 0, sent: [] });
  return state;
}

function answered(path: string, asked?: { body?: Call['body'] }) {
  if (state.silent) return Promise.reject(new TypeError('no network'));
  const answer = (data: unknown, status = 200) =>
    Promise.resolve(
      status < 400
        ? { data, response: new Response(null, { status }) }
        : { error: data, response: new Response(null, { status }) },
    );
  if (path.endsWith('/current')) return answer({ outage: state.current ?? undefined });
  const body = asked?.body;
  state.sent.push({ path, body });
  if (state.refuses) return answer({ detail: 'Refused in words.' }, state.refuses);
  const known = state.current ?? view();
  state.current = path.endsWith('/notes')
    ? { ...known, notes: [...known.notes, ...(body?.notes ?? [])] }
    : path.endsWith('/end')
      ? { ...known, endedAt: body?.at }
      : known;
  return answer(state.current);
}

vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: { GET: answered, POST: answered },
}));

beforeEach(() => localStorage.clear());

it('shows what the server knows and keeps it on the device', async () => {
  server(view());
  const { result } = renderHook(() => useOutage(HOME));
  await waitFor(() => expect(result.current.view?.id).toBe('o1'));
  expect(result.current.reached).toBe(true);
  expect(readKept(HOME).view?.id).toBe('o1');
});

it('notes are shown at once, wait while the server is silent, and are sent once', async () => {
  const state = server(view());
  const { result } = renderHook(() => useOutage(HOME));
  await waitFor(() => expect(result.current.view).not.toBeNull());
  state.silent = true;
  act(() => {
    result.current.note({ kind: 'NOTE', text: 'torch is empty' });
  });
  expect(result.current.view?.notes.map((n) => n.text)).toEqual(['torch is empty']);
  expect(result.current.waiting).toBe(1);
  await waitFor(() => expect(result.current.reached).toBe(false));
  expect(readKept(HOME).waiting).toHaveLength(1);
  state.silent = false;
  act(() => {
    window.dispatchEvent(new Event('online'));
  });
  await waitFor(() => expect(result.current.waiting).toBe(0));
  act(() => {
    window.dispatchEvent(new Event('online'));
  });
  await waitFor(() => expect(result.current.reached).toBe(true));
  expect(state.sent.filter((t) => t.path.endsWith('/notes'))).toHaveLength(1);
  expect(result.current.view?.notes).toHaveLength(1);
});

it('begins by the kept plan without a server, and tells it when it is back', async () => {
  const state = server(null);
  state.silent = true;
  keepPlan(HOME, { view: view({ id: 'plan' }), at: '2026-11-12T10:00:00Z' });
  const { result } = renderHook(() => useOutage(HOME));
  await act(() => result.current.start());
  expect(result.current.view?.id).toBe('plan');
  expect(result.current.planAt).toBe('2026-11-12T10:00:00Z');
  expect(result.current.waiting).toBe(1);
  act(() => {
    result.current.note({ kind: 'NOTE', text: 'begun alone' });
  });
  state.silent = false;
  act(() => {
    window.dispatchEvent(new Event('online'));
  });
  await waitFor(() => expect(result.current.waiting).toBe(0));
  expect(state.sent.map((t) => t.path.split('/').at(-1))).toEqual(['outages', 'notes']);
  expect(result.current.view?.id).toBe('o1');
});

it('without a plan and a server it cannot begin, and says so', async () => {
  server(null).silent = true;
  const { result } = renderHook(() => useOutage(HOME));
  await expect(act(() => result.current.start())).rejects.toThrow();
  expect(result.current.view).toBeNull();
});

it('the end is kept until it was sent, and the page is left only then', async () => {
  const state = server(view());
  const { result } = renderHook(() => useOutage(HOME));
  await waitFor(() => expect(result.current.view).not.toBeNull());
  state.silent = true;
  act(() => {
    result.current.end();
  });
  expect(result.current.view?.endedAt).toBeDefined();
  act(() => {
    result.current.close();
  });
  expect(result.current.view).not.toBeNull();
  state.silent = false;
  act(() => {
    window.dispatchEvent(new Event('online'));
  });
  await waitFor(() => expect(result.current.waiting).toBe(0));
  act(() => {
    result.current.close();
  });
  expect(result.current.view).toBeNull();
  expect(readKept(HOME).view).toBeNull();
});

it('a refusal is said in words and what was noted stays', async () => {
  const state = server(view());
  const { result } = renderHook(() => useOutage(HOME));
  await waitFor(() => expect(result.current.view).not.toBeNull());
  state.refuses = 422;
  act(() => {
    result.current.note({ kind: 'NOTE', text: '' });
  });
  await waitFor(() => expect(result.current.refused).toContain('Refused in words.'));
  expect(result.current.waiting).toBe(1);
  expect(result.current.reached).toBe(true);
});
