import { useState } from 'react';
import type { KeptSchedule, Schedule } from '../../../api/types';
import { keepTyped, readTyped } from '../../../lib/kept';

interface Draft {
  /** The one that it was begun from; undefined for the first. */
  version?: number;
  now: Schedule;
  past: readonly Schedule[];
  future: readonly Schedule[];
}

const MOST_UNDONE = 100;

/** What is not saved yet stays while the keeper looks at another screen; the last steps outlive a reload. */
const drafts = new Map<string, Draft>();
const STEPS_KEPT = 5;
const keyOf = (tankId: string) => `schedule-${tankId}`;

/** A schedule that is being changed: each step can be taken back, and nothing runs by it before it is saved. */
export function useDraft(tankId: string, kept: KeptSchedule) {
  const [draft, setDraft] = useState(
    () => drafts.get(tankId) ?? (readTyped(keyOf(tankId)) as Draft | undefined),
  );
  const put = (next: Draft | undefined) => {
    if (next) drafts.set(tankId, next);
    else drafts.delete(tankId);
    keepTyped(keyOf(tankId), next && { ...next, past: next.past.slice(-STEPS_KEPT), future: [] });
    setDraft(next);
  };
  const begun: Draft = { version: kept.version, now: kept.schedule, past: [], future: [] };
  const of = draft ?? begun;
  // What comes later than the press (an answer, an undo in a notice) builds on what is there by then.
  const step = (from: (current: Draft) => Draft) => put(from(drafts.get(tankId) ?? of));
  const back = (d: Draft): Draft => {
    const previous = d.past.at(-1);
    return previous
      ? { ...d, now: previous, past: d.past.slice(0, -1), future: [d.now, ...d.future] }
      : d;
  };
  const forth = (d: Draft): Draft => {
    const [next, ...rest] = d.future;
    return next ? { ...d, now: next, past: [...d.past, d.now], future: rest } : d;
  };
  return {
    schedule: of.now,
    version: of.version,
    changed: of.past.length > 0,
    change: (schedule: Schedule) =>
      step((d) => ({
        ...d,
        now: schedule,
        past: [...d.past.slice(-MOST_UNDONE), d.now],
        future: [],
      })),
    undo: of.past.length > 0 ? () => step(back) : undefined,
    redo: of.future.length > 0 ? () => step(forth) : undefined,
    /** As it is saved; what was changed is gone. */
    drop: () => put(undefined),
  };
}
