import { newId } from '../../lib/newId';
import type { NewNote, OutageView, StepState } from '../../api/types';

/** Something the server would not take, and why. It stays until somebody has read it. */
export interface Refused {
  what: string;
  why: string;
}

/** What is kept on this device, so that an outage of the server, too, loses nothing. */
export interface Kept {
  view: OutageView | null;
  /** Notes that the server has not been told. */
  waiting: NewNote[];
  /**
   * An outage that the server has not been told of: its id, made here, when it began, and of when the plan is that its
   * clock shows (none where no plan was kept).
   */
  began: { id: string; at: string; planAt: string | null } | null;
  /** When the power came back, as long as the server has not been told. */
  ended: string | null;
  refused: Refused[];
  /** Only practised: nothing of it is sent. */
  rehearsal: boolean;
}

const PREFIX = 'outage-';
const key = (homeId: string) => `${PREFIX}${homeId}`;
export const NOTHING: Kept = {
  view: null,
  waiting: [],
  began: null,
  ended: null,
  refused: [],
  rehearsal: false,
};

export function readKept(homeId: string): Kept {
  try {
    const text = localStorage.getItem(key(homeId));
    if (!text) return NOTHING;
    const kept = { ...NOTHING, ...(JSON.parse(text) as Partial<Kept>) };
    // An older page kept a beginning without an id.
    return { ...kept, began: kept.began && { ...{ id: newId() }, ...kept.began } };
  } catch {
    return NOTHING;
  }
}

export function keep(homeId: string, kept: Kept) {
  try {
    localStorage.setItem(key(homeId), JSON.stringify(kept));
  } catch {
    // A device that keeps nothing still works while the page is open.
  }
}

/** The homes of which this device keeps an outage. */
export const keptHomes = (): string[] =>
  Object.keys(localStorage)
    .filter((name) => name.startsWith(PREFIX) && !name.startsWith(PLAN_PREFIX))
    .map((name) => name.slice(PREFIX.length));

/** Whether the server has yet to be told something. */
export const owes = (kept: Kept) =>
  !kept.rehearsal && (kept.began !== null || kept.ended !== null || kept.waiting.length > 0);

/** What happens to an outage as this device knows it. */
export type Happened =
  | {
      kind: 'began';
      id: string;
      at: string;
      homeId: string;
      plan: KeptPlan | null;
      rehearsal: boolean;
    }
  /** The plan that was missing when it began. */
  | { kind: 'plan came'; plan: KeptPlan }
  | { kind: 'noted'; note: NewNote }
  | { kind: 'ended'; at: string }
  | { kind: 'goes on' }
  /** The server knows the beginning, and with it the end that was told along. */
  | { kind: 'began told'; id: string; ended: string | null; view: OutageView }
  /** The server has answered for these notes: it took them, or said why not. */
  | { kind: 'notes told'; ids: string[]; refused: Refused[]; view: OutageView | null }
  | { kind: 'end told'; at: string; view: OutageView }
  | { kind: 'asked'; view: OutageView | null }
  | { kind: 'refused'; refused: Refused }
  | { kind: 'end refused'; refused: Refused }
  | { kind: 'read' }
  /** It never was. */
  | { kind: 'removed' }
  | { kind: 'brought back'; kept: Kept }
  | { kind: 'closed' };

/** An outage on this device, after something happened. */
export function happened(kept: Kept, event: Happened): Kept {
  switch (event.kind) {
    case 'began':
      return {
        ...NOTHING,
        refused: kept.refused,
        rehearsal: event.rehearsal,
        view: event.plan
          ? begun(event.plan.view, event.at)
          : bare(event.homeId, event.id, event.at),
        began: { id: event.id, at: event.at, planAt: event.plan?.at ?? null },
      };
    case 'plan came':
      return kept.began && kept.began.planAt === null
        ? {
            ...kept,
            view: begun(event.plan.view, kept.began.at),
            began: { ...kept.began, planAt: event.plan.at },
          }
        : kept;
    case 'noted':
      return { ...kept, waiting: [...kept.waiting, event.note] };
    case 'ended':
      return { ...kept, ended: event.at };
    case 'goes on':
      return { ...kept, ended: null, view: kept.view && { ...kept.view, endedAt: undefined } };
    case 'began told':
      return {
        ...kept,
        view: event.view,
        began: kept.began?.id === event.id ? null : kept.began,
        ended: kept.ended === event.ended ? null : kept.ended,
      };
    case 'notes told': {
      const answered = new Set(event.ids);
      return {
        ...kept,
        view: event.view ?? kept.view,
        waiting: kept.waiting.filter((n) => !answered.has(n.id)),
        refused: [...kept.refused, ...event.refused],
      };
    }
    case 'end told':
      return { ...kept, view: event.view, ended: kept.ended === event.at ? null : kept.ended };
    case 'asked':
      // What was begun or is owed here is newer than any answer; one that is over stays until it is closed.
      return owes(kept) || kept.rehearsal
        ? kept
        : { ...kept, view: event.view ?? (kept.view?.endedAt ? kept.view : null) };
    case 'refused':
      return { ...kept, refused: [...kept.refused, event.refused] };
    case 'end refused':
      return { ...kept, ended: null, refused: [...kept.refused, event.refused] };
    case 'read':
      return { ...kept, refused: [] };
    case 'removed':
      return NOTHING;
    case 'brought back':
      return event.kept;
    case 'closed':
      return owes(kept) ? kept : NOTHING;
  }
}

/** How the outage shows: what waits to be sent is in it already. */
export function shown(kept: Kept): OutageView | null {
  if (!kept.view) return null;
  const view = withWaiting(kept.view, kept.waiting);
  return kept.ended ? { ...view, endedAt: kept.ended } : view;
}

/** What the clock would show if the power failed, as the server told it last, and when that was. */
export interface KeptPlan {
  view: OutageView;
  at: string;
}

const PLAN_PREFIX = `${PREFIX}plan-`;
const planKey = (homeId: string) => `${PLAN_PREFIX}${homeId}`;

export function readPlan(homeId: string): KeptPlan | null {
  try {
    return JSON.parse(localStorage.getItem(planKey(homeId)) ?? 'null') as KeptPlan | null;
  } catch {
    return null;
  }
}

export function keepPlan(homeId: string, plan: KeptPlan) {
  try {
    localStorage.setItem(planKey(homeId), JSON.stringify(plan));
  } catch {
    // As above.
  }
}

/** Nothing of a home stays on the device of somebody who leaves, but what the server has yet to be told. */
export function forgetOutages() {
  for (const homeId of keptHomes()) {
    if (!owes(readKept(homeId))) localStorage.removeItem(key(homeId));
  }
  for (const name of Object.keys(localStorage).filter((k) => k.startsWith(PLAN_PREFIX)))
    localStorage.removeItem(name);
}

const AIR: readonly NewNote['kind'][] = ['BACKUP_ON', 'BACKUP_OFF', 'BACKUP_FAILED'];

const STATE: Partial<Record<NewNote['kind'], StepState>> = {
  STEP_DONE: 'DONE',
  STEP_SKIPPED: 'SKIPPED',
  STEP_UNDONE: 'OPEN',
};

/** An outage that begins while the server is silent: the clock of the plan, from this moment on. */
export const begun = (plan: OutageView, at: string): OutageView => ({
  ...plan,
  startedAt: at,
  endedAt: undefined,
  notes: [],
});

/** Oxygen lines as they are assumed everywhere, mg/L, for a clock that begins without any plan. */
const LINES = { caution: 5, danger: 3.5, loss: 2 };

/** An outage of which nothing is known but its beginning: the clock runs all the same. */
const bare = (homeId: string, id: string, at: string): OutageView => ({
  id,
  homeId,
  startedAt: at,
  cuts: 1,
  nobodyComes: false,
  lines: LINES,
  tanks: [],
  notes: [],
});

/** The view with what waits to be sent already in it: steps, animals, air, readings. Predictions follow later. */
export function withWaiting(view: OutageView, waiting: NewNote[]): OutageView {
  const known = new Set(view.notes.map((n) => n.id));
  const fresh = waiting.filter((n) => !known.has(n.id));
  if (fresh.length === 0) return view;
  return {
    ...view,
    notes: [...view.notes, ...fresh],
    tanks: view.tanks.map((tank) => {
      const own = fresh.filter((n) => n.tankId === tank.tankId);
      const stepped = (step: OutageView['tanks'][number]['steps'][number]) => {
        const last = own
          .filter((n) => n.ref === step.step.id && STATE[n.kind] !== undefined)
          .at(-1);
        return last ? { ...step, state: STATE[last.kind] ?? step.state, at: last.at } : step;
      };
      const animals = own.filter((n) => n.kind === 'GASPING' || n.kind === 'CALM').at(-1);
      return {
        ...tank,
        gasping: animals ? animals.kind === 'GASPING' : tank.gasping,
        steps: tank.steps.map(stepped),
        after: tank.after.map(stepped),
        kit: tank.kit.map((thing) => {
          const air = own.filter((n) => n.ref === thing.kitId && AIR.includes(n.kind)).at(-1);
          return air
            ? {
                ...thing,
                running: air.kind === 'BACKUP_ON',
                failed: air.kind === 'BACKUP_FAILED',
              }
            : thing;
        }),
      };
    }),
  };
}

type Point = OutageView['tanks'][number]['course']['points'][number];

/** The prediction at so many hours. */
export function predictedAt(
  points: Point[],
  hours: number,
): { early: number; late: number; ammoniaMgPerL: number } | undefined {
  const i = points.findIndex((p) => p.hours >= hours);
  const b = points[i < 0 ? points.length - 1 : i];
  const a = points[Math.max(0, (i < 0 ? points.length : i) - 1)];
  if (!a || !b) return undefined;
  const share = b.hours === a.hours ? 0 : Math.min(1, (hours - a.hours) / (b.hours - a.hours));
  const between = (of: (p: Point) => number) => of(a) + share * (of(b) - of(a));
  return {
    early: between((p) => p.early),
    late: between((p) => p.late),
    ammoniaMgPerL: between((p) => p.ammoniaMgPerL),
  };
}

/** Hours from now until the early side is below a line; 0 when it is now, undefined when it does not come. */
export function dangerAhead(points: Point[], line: number, hours: number): number | undefined {
  const now = predictedAt(points, hours);
  if (now && now.early < line) return 0;
  const later = points.find((p) => p.hours > hours && p.early < line);
  return later && later.hours - hours;
}

type Listed = OutageView['tanks'][number]['steps'][number];

/** The first open step whose time has come, and the first that is still ahead. */
export function nextStep(
  steps: Listed[],
  hours: number,
): { due: Listed | undefined; ahead: Listed | undefined } {
  const open = steps.filter((s) => s.state === 'OPEN');
  return {
    due: open.find((s) => s.step.atH <= hours + 0.01),
    ahead: open.find((s) => s.step.atH > hours + 0.01),
  };
}

/** The log of a pocket card, as its file holds it; an error in words when it is none. */
export function readCard(
  text: string,
  homeId: string,
): { startedAt: string; endedAt: string | null; notes: NewNote[] } | string {
  let card: unknown;
  try {
    card = JSON.parse(text);
  } catch {
    return 'We can’t read this file: it is not a pocket card log.';
  }
  const c = card as { card?: unknown; startedAt?: unknown; endedAt?: unknown; notes?: unknown };
  if (typeof c.card !== 'string' || !Array.isArray(c.notes))
    return 'This file is not a pocket card log.';
  if (c.card !== homeId) return 'This log belongs to another home.';
  if (typeof c.startedAt !== 'string') return 'No outage was started on this card.';
  return {
    startedAt: c.startedAt,
    endedAt: typeof c.endedAt === 'string' ? c.endedAt : null,
    notes: c.notes as NewNote[],
  };
}
