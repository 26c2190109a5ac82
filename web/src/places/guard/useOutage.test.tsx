import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { NewNote, OutageView } from '../../api/types';
import { keep, keepPlan, readKept } from './outageLog';
import { forgetQueues, sendOwed } from './outageQueue';
import { useOutage } from './useOutage';

const HOME = 'a-home';

const view = (more: Partial<OutageView> = {}): OutageView => ({
  id: 'o1',
  homeId: HOME,
  startedAt: '2026-11-12T20:00:00Z',
  cuts: 1,
  nobodyComes: false,
  lines: { caution: 5, danger: 3.5, loss: 2 },
  tanks: [],
  notes: [],
  ...more,
});

interface Call {
  path: string;
  body: { notes?: NewNote[]; at?: string; id?: string; until?: string } | undefined;
}

/** A server that can be silent or in trouble; it remembers what it took. */
const state = {
  current: null as OutageView | null,
  silent: false,
  /** What every door answers; 0 for as it should. */
  trouble: 0,
  /** Notes with these words are refused, each by itself. */
  refuses: '',
  taken: [] as Call[],
};

function server(current: OutageView | null) {
  Object.assign(state, { current, silent: false, trouble: 0, refuses: '', taken: [] });
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
  if (state.trouble) return answer({ detail: 'In trouble.' }, state.trouble);
  if (path.endsWith('/current')) return answer({ outage: state.current ?? undefined });
  const body = asked?.body;
  const known = state.current ?? view();
  if (path.endsWith('/notes')) {
    const notes = body?.notes ?? [];
    const good = notes.filter((n) => n.text !== state.refuses);
    if (good.length === 0) return answer({ detail: 'Refused in words.' }, 422);
    state.taken.push({ path, body: { notes: good } });
    state.current = { ...known, notes: [...known.notes, ...good] };
    return answer({
      outage: state.current,
      refused: notes
        .filter((n) => n.text === state.refuses)
        .map((n) => ({ id: n.id, message: 'Refused in words.' })),
    });
  }
  state.taken.push({ path, body });
  state.current = path.endsWith('/end')
    ? { ...known, endedAt: body?.at }
    : { ...known, id: 'o1', endedAt: body?.until };
  return answer(state.current);
}

vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: { GET: answered, POST: answered, DELETE: answered },
}));

afterEach(cleanup);
beforeEach(() => {
  localStorage.clear();
  forgetQueues();
});

const online = () =>
  act(() => {
    window.dispatchEvent(new Event('online'));
  });
const doors = () => state.taken.map((t) => t.path.split('/').at(-1));

it('shows what the server knows and keeps it on the device', async () => {
  server(view());
  const { result } = renderHook(() => useOutage(HOME));
  await waitFor(() => expect(result.current.view?.id).toBe('o1'));
  expect(result.current.reached).toBe('yes');
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
  await waitFor(() => expect(result.current.reached).toBe('gone'));
  expect(readKept(HOME).waiting).toHaveLength(1);
  state.silent = false;
  online();
  await waitFor(() => expect(result.current.waiting).toBe(0));
  online();
  await waitFor(() => expect(result.current.reached).toBe('yes'));
  expect(doors()).toEqual(['notes']);
  expect(result.current.view?.notes).toHaveLength(1);
});

it.each([0, 401, 403, 404, 408, 429, 500, 502, 503, 504])(
  'the clock starts when the server answers %i, and the server is told when it is well again',
  async (status) => {
    const state = server(null);
    if (status === 0) state.silent = true;
    else state.trouble = status;
    keepPlan(HOME, { view: view({ id: 'plan' }), at: '2026-11-12T10:00:00Z' });
    const { result } = renderHook(() => useOutage(HOME));
    act(() => result.current.start());
    // At once, before anything was answered.
    expect(result.current.view?.id).toBe('plan');
    expect(result.current.planAt).toBe('2026-11-12T10:00:00Z');
    act(() => {
      result.current.note({ kind: 'NOTE', text: 'begun alone' });
    });
    await waitFor(() =>
      expect(result.current.reached).toBe([401, 403].includes(status) ? 'signed out' : 'gone'),
    );
    expect(result.current.waiting).toBe(2);
    expect(result.current.refused).toEqual([]);
    Object.assign(state, { silent: false, trouble: 0 });
    online();
    await waitFor(() => expect(result.current.waiting).toBe(0));
    expect(doors()).toEqual(['outages', 'notes']);
    expect(result.current.view?.id).toBe('o1');
  },
);

it('begins without a plan, too: a bare clock', async () => {
  server(null).silent = true;
  const { result } = renderHook(() => useOutage(HOME));
  act(() => result.current.start());
  expect(result.current.view?.tanks).toEqual([]);
  expect(result.current.view?.startedAt).toBeDefined();
  await waitFor(() => expect(result.current.reached).toBe('gone'));
  expect(readKept(HOME).began?.id).toBeTruthy();
});

it('what is owed is sent from any screen, start and end as one', async () => {
  const state = server(null);
  state.silent = true;
  const { result, unmount } = renderHook(() => useOutage(HOME));
  act(() => result.current.start());
  act(() => {
    result.current.note({ kind: 'NOTE', text: 'bucket' });
  });
  act(() => result.current.end());
  await waitFor(() => expect(result.current.reached).toBe('gone'));
  const { began, ended } = readKept(HOME);
  unmount();
  // The page is loaded anew, on some other screen.
  forgetQueues();
  state.silent = false;
  const stop = sendOwed();
  await waitFor(() => expect(readKept(HOME).waiting).toEqual([]));
  stop();
  expect(state.taken[0]?.body).toEqual({ id: began?.id, at: began?.at, until: ended });
  expect(doors()).toEqual(['outages', 'notes']);
  expect(readKept(HOME)).toMatchObject({ began: null, ended: null });
});

it('one refused note holds back no other, and is said in words', async () => {
  const state = server(view());
  const { result } = renderHook(() => useOutage(HOME));
  await waitFor(() => expect(result.current.view).not.toBeNull());
  state.refuses = 'bad';
  state.silent = true;
  act(() => {
    result.current.note({ kind: 'NOTE', text: 'bad' });
    result.current.note({ kind: 'NOTE', text: 'good' });
  });
  await waitFor(() => expect(result.current.reached).toBe('gone'));
  state.silent = false;
  online();
  await waitFor(() => expect(result.current.waiting).toBe(0));
  expect(result.current.view?.notes.map((n) => n.text)).toEqual(['good']);
  expect(result.current.refused).toEqual([{ what: 'bad', why: 'Refused in words.' }]);
  // Alone it is refused likewise.
  act(() => {
    result.current.note({ kind: 'NOTE', text: 'bad' });
  });
  await waitFor(() => expect(result.current.refused).toHaveLength(2));
  expect(result.current.waiting).toBe(0);
  act(() => result.current.read());
  expect(result.current.refused).toEqual([]);
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
  act(() => result.current.close());
  expect(result.current.view).not.toBeNull();
  state.silent = false;
  online();
  await waitFor(() => expect(result.current.waiting).toBe(0));
  act(() => result.current.close());
  expect(result.current.view).toBeNull();
  expect(readKept(HOME).view).toBeNull();
});

it('a rehearsal is never sent, and leaves nothing behind', async () => {
  const state = server(null);
  keepPlan(HOME, { view: view({ id: 'plan' }), at: '2026-11-12T10:00:00Z' });
  const { result } = renderHook(() => useOutage(HOME));
  act(() => result.current.rehearse());
  act(() => {
    result.current.note({ kind: 'NOTE', text: 'practised' });
  });
  online();
  await waitFor(() => expect(result.current.view?.notes).toHaveLength(1));
  expect(result.current.rehearsal).toBe(true);
  const stop = sendOwed();
  stop();
  act(() => result.current.close());
  expect(result.current.view).toBeNull();
  expect(state.taken).toEqual([]);
});

it('a start pressed by mistake is taken out again, and comes back', async () => {
  const state = server(null);
  state.silent = true;
  const { result } = renderHook(() => useOutage(HOME));
  act(() => result.current.start());
  let undo: () => Promise<unknown> = () => Promise.resolve();
  await act(async () => {
    undo = await result.current.remove();
  });
  expect(result.current.view).toBeNull();
  await act(async () => {
    await undo();
  });
  expect(result.current.view).not.toBeNull();
  expect(state.taken).toEqual([]);
});

it('two tabs keep one log', async () => {
  const state = server(view());
  const { result } = renderHook(() => useOutage(HOME));
  await waitFor(() => expect(result.current.view).not.toBeNull());
  state.silent = true;
  // Another tab noted something: it is in the store, and this one was not told.
  const other = { id: 'n-other', at: '2026-11-12T20:05:00Z', kind: 'NOTE', text: 'other' } as const;
  keep(HOME, { ...readKept(HOME), waiting: [other] });
  act(() => {
    result.current.note({ kind: 'NOTE', text: 'here' });
  });
  expect(readKept(HOME).waiting.map((n) => n.text)).toEqual(['other', 'here']);
});
