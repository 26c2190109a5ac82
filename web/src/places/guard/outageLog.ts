import type { NewNote, OutageView, StepState } from '../../api/types';

/** What is kept on this device, so that an outage of the server, too, loses nothing. */
export interface Kept {
  view: OutageView | null;
  /** Notes that the server has not been told. */
  waiting: NewNote[];
  /** An outage that the server has not been told of: when it began, and of when the plan is that its clock shows. */
  began: { at: string; planAt: string } | null;
  /** When the power came back, as long as the server has not been told. */
  ended: string | null;
}

const key = (homeId: string) => `outage-${homeId}`;
export const NOTHING: Kept = { view: null, waiting: [], began: null, ended: null };

export function readKept(homeId: string): Kept {
  try {
    const text = localStorage.getItem(key(homeId));
    return text ? { ...NOTHING, ...(JSON.parse(text) as Partial<Kept>) } : NOTHING;
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

/** Whether the server has yet to be told something. */
export const owes = (kept: Kept) =>
  kept.began !== null || kept.ended !== null || kept.waiting.length > 0;

/** What the clock would show if the power failed, as the server told it last, and when that was. */
export interface KeptPlan {
  view: OutageView;
  at: string;
}

const planKey = (homeId: string) => `outage-plan-${homeId}`;

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
  for (const name of Object.keys(localStorage).filter((k) => k.startsWith('outage-'))) {
    const owed = owes(readKept(name.slice('outage-'.length)));
    if (name.startsWith('outage-plan-') || !owed) localStorage.removeItem(name);
  }
}

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
          const air = own
            .filter(
              (n) => n.ref === thing.kitId && (n.kind === 'BACKUP_ON' || n.kind === 'BACKUP_OFF'),
            )
            .at(-1);
          return air ? { ...thing, running: air.kind === 'BACKUP_ON' } : thing;
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
    return 'This file is not the log of a pocket card: it cannot be read.';
  }
  const c = card as { card?: unknown; startedAt?: unknown; endedAt?: unknown; notes?: unknown };
  if (typeof c.card !== 'string' || !Array.isArray(c.notes))
    return 'This file is not the log of a pocket card.';
  if (c.card !== homeId) return 'This log is that of another home.';
  if (typeof c.startedAt !== 'string') return 'No outage was started on that card.';
  return {
    startedAt: c.startedAt,
    endedAt: typeof c.endedAt === 'string' ? c.endedAt : null,
    notes: c.notes as NewNote[],
  };
}
