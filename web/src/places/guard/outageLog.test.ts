import { expect, it } from 'vitest';
import type { NewNote, OutageView } from '../../api/types';
import {
  begun,
  dangerAhead,
  forgetOutages,
  happened,
  keep,
  keepPlan,
  nextStep,
  NOTHING,
  owes,
  predictedAt,
  readCard,
  readKept,
  readPlan,
  withWaiting,
} from './outageLog';

const VIEW = {
  notes: [{ id: 'a', at: '', kind: 'NOTE' }],
  tanks: [
    {
      tankId: 't',
      gasping: false,
      kit: [{ kitId: 'k', running: false }],
      steps: [{ step: { id: 'look' }, state: 'OPEN' }],
      after: [],
      course: { points: [] },
    },
  ],
} as unknown as OutageView;
const note = (kind: NewNote['kind'], ref?: string): NewNote => ({
  id: kind,
  tankId: 't',
  at: '2026-01-01T00:00:00Z',
  kind,
  ref,
});

it('shows what waits as if it were sent', () => {
  const seen = withWaiting(VIEW, [
    note('STEP_DONE', 'look'),
    note('GASPING'),
    note('BACKUP_ON', 'k'),
  ]);
  expect(seen.tanks[0]?.steps[0]?.state).toBe('DONE');
  expect(seen.tanks[0]?.gasping).toBe(true);
  expect(seen.tanks[0]?.kit[0]?.running).toBe(true);
  expect(seen.notes).toHaveLength(4);
  expect(withWaiting(VIEW, [{ ...note('NOTE'), id: 'a' }])).toBe(VIEW);
});

it('takes up a plan that comes after the beginning, once', () => {
  const at = '2026-01-01T00:00:00Z';
  const bare = happened(NOTHING, {
    kind: 'began',
    id: 'o',
    at,
    homeId: 'h',
    plan: null,
    rehearsal: true,
  });
  expect(bare.view?.tanks).toHaveLength(0);
  const logged = happened(bare, { kind: 'noted', note: note('GASPING') });
  const planned = happened(logged, { kind: 'plan came', plan: { view: VIEW, at } });
  expect(planned.view?.startedAt).toBe(at);
  expect(planned.view?.tanks[0]?.tankId).toBe('t');
  expect(planned.waiting).toHaveLength(1);
  expect(planned.rehearsal).toBe(true);
  const later = happened(planned, {
    kind: 'plan came',
    plan: { view: VIEW, at: '2026-01-01T00:15:00Z' },
  });
  expect(later).toBe(planned);
  expect(happened(NOTHING, { kind: 'plan came', plan: { view: VIEW, at } })).toBe(NOTHING);
});

it('reads oxygen between the points', () => {
  const points = [
    { hours: 0, early: 6, likely: 6, late: 6, celsius: 25, coldestC: 25, ammoniaMgPerL: 0 },
    { hours: 1, early: 4, likely: 5, late: 6, celsius: 25, coldestC: 25, ammoniaMgPerL: 0.1 },
  ];
  expect(predictedAt(points, 0.5)?.early).toBeCloseTo(5);
  expect(predictedAt(points, 0.5)?.ammoniaMgPerL).toBeCloseTo(0.05);
  expect(predictedAt(points, 9)?.early).toBeCloseTo(4);
});

it('takes only the log of a card of this home', () => {
  expect(readCard('hello', 'h')).toContain('can’t read');
  expect(readCard('{}', 'h')).toContain('not a pocket card log');
  expect(readCard('{"card":"x","notes":[]}', 'h')).toContain('another home');
  expect(readCard('{"card":"h","notes":[]}', 'h')).toContain('No outage');
  expect(readCard('{"card":"h","startedAt":"2026-01-01T00:00:00Z","notes":[]}', 'h')).toMatchObject(
    {
      endedAt: null,
    },
  );
});

it('begins without the server by the plan, from its own moment on', () => {
  const plan = { ...VIEW, endedAt: '2026-01-01T03:00:00Z', notes: [note('CALM')] };
  const view = begun(plan, '2026-01-02T20:00:00Z');
  expect(view.startedAt).toBe('2026-01-02T20:00:00Z');
  expect(view.endedAt).toBeUndefined();
  expect(view.notes).toEqual([]);
  expect(view.tanks).toEqual(VIEW.tanks);
});

it('reads what an older page kept, and nothing where it can’t read', () => {
  localStorage.setItem('outage-h', JSON.stringify({ view: null, waiting: [note('CALM')] }));
  expect(readKept('h')).toMatchObject({ began: null, ended: null });
  expect(readKept('h').waiting).toHaveLength(1);
  localStorage.setItem('outage-h', '{');
  expect(readKept('h').waiting).toEqual([]);
});

it('forgets a home when somebody leaves, but not what the server has yet to be told', () => {
  localStorage.clear();
  const nothing = { ...NOTHING, view: VIEW };
  keepPlan('a', { view: VIEW, at: '2026-01-01T00:00:00Z' });
  keep('a', nothing);
  keep('b', { ...nothing, waiting: [note('GASPING')] });
  keep('c', { ...nothing, ended: '2026-01-01T00:00:00Z' });
  forgetOutages();
  expect(Object.keys(localStorage).sort()).toEqual(['outage-b', 'outage-c']);
  expect(readPlan('a')).toBeNull();
});

it('owes the server what it has not been told: a start, notes, an end', () => {
  expect(owes(NOTHING)).toBe(false);
  expect(owes({ ...NOTHING, view: VIEW })).toBe(false);
  expect(owes({ ...NOTHING, waiting: [note('CALM')] })).toBe(true);
  expect(owes({ ...NOTHING, ended: '2026-01-01T00:00:00Z' })).toBe(true);
});

it('tells the step whose time has come from those ahead', () => {
  const step = (id: string, atH: number, state: 'OPEN' | 'DONE' = 'OPEN') =>
    ({ step: { id, atH }, state }) as unknown as Parameters<typeof nextStep>[0][number];
  const steps = [step('look', 0, 'DONE'), step('flow', 0.5), step('canister', 4)];
  expect(nextStep(steps, 0.1)).toMatchObject({ due: undefined, ahead: { step: { id: 'flow' } } });
  expect(nextStep(steps, 0.6).due?.step.id).toBe('flow');
  expect(nextStep(steps, 0.6).ahead?.step.id).toBe('canister');
  expect(nextStep([step('look', 0, 'DONE')], 1)).toEqual({ due: undefined, ahead: undefined });
});

it('speaks of danger from now on only', () => {
  const point = (hours: number, early: number) => ({
    hours,
    early,
    likely: early,
    late: early,
    celsius: 25,
    coldestC: 25,
    ammoniaMgPerL: 0,
  });
  const saved = [point(0, 6), point(1, 3), point(2, 3.2), point(3, 5), point(9, 5)];
  expect(dangerAhead(saved, 3.5, 0)).toBe(1);
  expect(dangerAhead(saved, 3.5, 1.5)).toBe(0);
  expect(dangerAhead(saved, 3.5, 4)).toBeUndefined();
});
