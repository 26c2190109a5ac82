import type { Lane, LaneRule, LaneState } from '../../../api/types';
import { readNumber } from '../../../lib/number';
import { lasting } from './words';

/** What is typed of a state; only what it asks for is read. */
export interface StateDraft {
  does: LaneState['does'];
  share: string;
  on: string;
  off: string;
}

const UNIT_S: Record<string, number> = { s: 1, min: 60, h: 3600 };

/** Seconds of what was typed: 5 min, 30 s, 1 min 30 s, 1 h, or 5:00 as minutes and seconds; undefined for no time. */
export function readLasting(text: string): number | undefined {
  const typed = text.trim().toLowerCase();
  const clock = /^(\d{1,3}):([0-5]\d)$/.exec(typed);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  if (!/^(\d+(\.\d+)?\s*(s|min|h)\s*)+$/.test(typed)) return undefined;
  let seconds = 0;
  for (const [, n, unit] of typed.matchAll(/(\d+(?:\.\d+)?)\s*(s|min|h)/g)) {
    seconds += Number(n) * (UNIT_S[unit ?? 's'] ?? 1);
  }
  return Math.round(seconds);
}

export const draftOf = (state: LaneState): StateDraft => ({
  does: state.does,
  share: String(Math.round(1000 * (state.share ?? 0.5)) / 10),
  on: lasting(state.onS ?? 300),
  off: lasting(state.offS ?? 30),
});

/** A state as it was typed, or what is wrong with it. */
export function readState(draft: StateDraft): LaneState | string {
  if (draft.does === 'SHARE' || draft.does === 'RECIRCULATED') {
    const percent = readNumber(draft.share);
    if (percent === null || percent < 0 || percent > 100) return 'Enter 0–100 %.';
    return { does: draft.does, share: percent / 100 };
  }
  if (draft.does === 'WAVE') {
    const onS = readLasting(draft.on);
    const offS = readLasting(draft.off);
    if (!onS || !offS) return 'Enter how long the wave is on and off, such as 5 min and 30 s.';
    return { does: 'WAVE', onS, offS };
  }
  return { does: draft.does };
}

/** What such a lane does where nobody says anything, at first. */
export function usualRest(kind: Lane['kind']): LaneState {
  switch (kind) {
    case 'AIR_PATH':
      return { does: 'FRESH' };
    case 'RETURN_PUMP':
    case 'FLOW_PUMP':
    case 'SKIMMER':
      return { does: 'ON' };
    case 'LAMPS':
    case 'REFUGIUM':
    case 'AIR_PUMP':
    case 'DOSER':
    case 'FAN':
      return { does: 'OFF' };
  }
}

/** Surges: so many, each so long, from the window's end on. */
export interface SurgesDraft {
  times: string;
  lasts: string;
  apart: string;
}

export function surgesOf(rule?: LaneRule): SurgesDraft {
  const [first, second] = rule?.steps ?? [];
  return {
    times: String(rule?.steps?.length ?? 2),
    lasts: lasting(first?.lastsS ?? 60),
    apart: lasting(first && second ? second.afterS - first.afterS : 300),
  };
}

const MOST_SURGES = 20;

export function readSurges(draft: SurgesDraft, state: LaneState): LaneRule['steps'] | string {
  const times = readNumber(draft.times);
  const lastsS = readLasting(draft.lasts);
  const apartS = readLasting(draft.apart);
  if (times === null || !Number.isInteger(times) || times < 1 || times > MOST_SURGES)
    return `Repeats: 1 to ${MOST_SURGES}.`;
  if (!lastsS || !apartS) return 'Enter how long each lasts and the time between them.';
  return Array.from({ length: times }, (_, i) => ({ afterS: i * apartS, lastsS, state }));
}
