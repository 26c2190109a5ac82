import { useState } from 'react';
import type { KeptProgramme, Programme } from '../../../api/types';

interface Draft {
  /** The one that it was begun from; undefined for the first. */
  version?: number;
  now: Programme;
  past: readonly Programme[];
  future: readonly Programme[];
}

const MOST_UNDONE = 100;

/** What is not saved yet stays while the keeper looks at another screen. */
const drafts = new Map<string, Draft>();

/** A programme that is being changed: each step can be taken back, and nothing runs by it before it is saved. */
export function useDraft(tankId: string, kept: KeptProgramme) {
  const [draft, setDraft] = useState(() => drafts.get(tankId));
  const put = (next: Draft | undefined) => {
    if (next) drafts.set(tankId, next);
    else drafts.delete(tankId);
    setDraft(next);
  };
  const of: Draft = draft ?? {
    version: kept.version,
    now: kept.programme,
    past: [],
    future: [],
  };
  const previous = of.past.at(-1);
  const next = of.future[0];
  return {
    programme: of.now,
    version: of.version,
    changed: of.past.length > 0,
    change: (programme: Programme) =>
      put({
        ...of,
        now: programme,
        past: [...of.past.slice(-MOST_UNDONE), of.now],
        future: [],
      }),
    undo: previous
      ? () =>
          put({ ...of, now: previous, past: of.past.slice(0, -1), future: [of.now, ...of.future] })
      : undefined,
    redo: next
      ? () => put({ ...of, now: next, past: [...of.past, of.now], future: of.future.slice(1) })
      : undefined,
    /** As it is saved; what was changed is gone. */
    drop: () => put(undefined),
  };
}
