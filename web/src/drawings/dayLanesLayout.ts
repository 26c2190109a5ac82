/** Where things stand in the drawing of a day's lanes: rows, names, and what is drawn of a wave. */

export interface Bracket {
  id: string;
  name: string;
  left: number;
  right: number;
  /** Whether its beginning and its end lie within the day. */
  begins: boolean;
  ends: boolean;
}

export interface PlacedBracket extends Bracket {
  row: number;
  /** The middle of its name, kept within the drawing. */
  nameX: number;
}

const LETTER_PX = 7.4;
const APART_PX = 10;

/** Brackets in as few rows as keep them and their names apart. */
export function placed(brackets: readonly Bracket[], left: number, right: number): PlacedBracket[] {
  const rows: number[] = [];
  return [...brackets]
    .sort((a, b) => a.left - b.left)
    .map((b) => {
      const half = (b.name.length * LETTER_PX) / 2;
      const middle = (b.left + b.right) / 2;
      const nameX = Math.min(Math.max(middle, left + half), Math.max(right - half, left + half));
      const from = Math.min(b.left, nameX - half);
      const until = Math.max(b.right, nameX + half + APART_PX);
      const free = rows.findIndex((taken) => taken <= from + 0.5);
      const row = free === -1 ? rows.length : free;
      rows[row] = until;
      return { ...b, row, nameX };
    });
}

/** Turns of fewer pixels look like one bar. */
const LEAST_TURN_PX = 3;

/**
 * The times between two moments in which a wave is on, from the moment that it counts from; undefined where they are too
 * narrow to be drawn one by one.
 */
export function turns(
  wave: { sinceMs: number; onS: number; offS: number },
  fromMs: number,
  untilMs: number,
  pxPerMs: number,
): { from: number; until: number }[] | undefined {
  const turn = 1000 * (wave.onS + wave.offS);
  if (turn <= 0 || turn * pxPerMs < LEAST_TURN_PX) return undefined;
  const all = [];
  for (
    let at = wave.sinceMs + Math.floor((fromMs - wave.sinceMs) / turn) * turn;
    at < untilMs;
    at += turn
  ) {
    const from = Math.max(fromMs, at);
    const until = Math.min(untilMs, at + 1000 * wave.onS);
    if (until > from) all.push({ from, until });
  }
  return all;
}

/** How far a key moves what is drawn: a step, or a dozen by the page. */
export const STEPS: Record<string, number> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: -12,
  PageUp: 12,
};
