import type { EffectCard } from '../api/types';

const DAY_MS = 86_400_000;

/** A step of the ladder: between which levels the trough went, and how much of that is left for this change. */
export interface Rung {
  card: EffectCard;
  /** From one in the order of the year. */
  number: number;
  at: number;
  before: number;
  after: number;
  left: number;
}

/** A stretch in which the trough stood at a level. */
export interface Plateau {
  from: number;
  until: number;
  ph: number;
}

export const noon = (day: string) => Date.parse(`${day}T12:00:00Z`);

/** The changes that could be compared, in their order. */
export function rungs(cards: readonly EffectCard[]): Rung[] {
  return cards.flatMap((card, i) => {
    const trough = card.found?.effect.trough;
    return trough
      ? [
          {
            card,
            number: i + 1,
            at: noon(card.windows.change),
            before: trough.before,
            after: trough.after,
            left: trough.left.value,
          },
        ]
      : [];
  });
}

/** Levels before and after each change, as far as their days go. */
export function plateaus(steps: readonly Rung[]): Plateau[] {
  return steps.flatMap((r) => {
    const w = r.card.windows;
    return [
      { from: noon(w.before) - DAY_MS / 2, until: r.at, ph: r.before },
      { from: r.at, until: noon(w.end) - DAY_MS / 2, ph: r.after },
    ];
  });
}

/** On which of a few lines each label stands so that none lies over another; `wide` is how wide one is. */
export function lines(xs: readonly number[], wide: number, most: number): number[] {
  const last: number[] = Array.from({ length: most }, () => Number.NEGATIVE_INFINITY);
  return xs.map((x) => {
    const free = last.findIndex((end) => x - end >= wide);
    const line = free < 0 ? last.indexOf(Math.min(...last)) : free;
    last[line] = x;
    return line;
  });
}
