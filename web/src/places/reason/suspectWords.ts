import type { Suspect, SuspectCheck, SuspectFamily, Suspects } from '../../api/types';
import { dayOfMonth } from '../../lib/time';

const LIKELY = 0.5;
const POSSIBLE = 0.2;
const HARDLY = 0.03;
/** A first family with less than this stands out from no other. */
const STANDS_OUT = 0.4;

/** Fewer nights of a week clear nobody. */
const TELLING_NIGHTS = 4;

/** How probable, in a word: a figure would claim more than is known. */
export const word = (share: number) =>
  share > LIKELY
    ? 'likely'
    : share > POSSIBLE
      ? 'possible'
      : share > HARDLY
        ? 'less likely'
        : 'unlikely';

/** Nothing is the matter: so the days say, or no night was low and no suspect is likely. */
export function nothingBroken({ families, steady, since }: Suspects): boolean {
  const noNightLow =
    steady !== undefined &&
    !since &&
    steady.nights >= TELLING_NIGHTS &&
    steady.held === steady.nights;
  const noneLikely = families.every((f) => f.suspects.every((s) => s.share <= LIKELY));
  return families[0]?.family === 'NONE' || (noNightLow && noneLikely);
}

/** The sentence that all of it comes to. */
export function headline(all: Suspects): string {
  const [first, second] = all.families;
  if (!first) return 'Not yet enough data.';
  if (first.family === 'NONE') return 'Nothing looks broken. Your tank is as usual.';
  if (nothingBroken(all)) return 'Nothing looks broken. No night was too low.';
  const suspect = first.suspects[0];
  if (first.share > STANDS_OUT && suspect) {
    return suspect.share > LIKELY
      ? `${suspect.title}: the best fit.`
      : `The cause is most likely ${first.label}.`;
  }
  return second
    ? `We can’t tell yet: ${first.label}, or ${second.label}.`
    : `We can’t tell yet, perhaps ${first.label}.`;
}

/** What the last week says to whoever wants it steady, or high; nothing without whole days. */
export function steadySentence({ steady }: Suspects): string {
  if (!steady) return '';
  const { held, nights, line } = steady;
  const days = `on ${held} of ${nights} days of the last week its low was above ${line.toFixed(2)}`;
  if (steady.stance === 'STEADY') {
    return held === nights
      ? `You keep this tank steady, and ${days}. Nothing to change.`
      : `You keep this tank steady, and ${days}.`;
  }
  return held === nights
    ? `You raise this tank, and ${days}, your goal. Nothing to change.`
    : `You raise this tank, and ${days}, your goal.`;
}

export const sinceWords = (suspect: Suspect) =>
  suspect.since === undefined ? '' : `since about ${dayOfMonth(suspect.since)}`;

const EFFORT: Record<SuspectCheck['effort'], string> = {
  MINUTES: 'minutes',
  AN_EVENING: 'an evening',
  A_NIGHT: 'a night',
};

export const effort = (check: SuspectCheck) => EFFORT[check.effort];

/** What an answer would mean, in words. */
export const meaning = ({ then, share }: SuspectCheck['answers'][number]) =>
  `then ${word(share)}: ${then.charAt(0).toLowerCase()}${then.slice(1)}`;

/** So many are shown at once where they are possible at all. */
const SHOWN = 6;

/** All suspects by how probable they are, the first few and the others; that nothing is wrong, the headline says. */
export function parted(families: readonly SuspectFamily[]) {
  const all = families
    .filter((f) => f.family !== 'NONE')
    .flatMap((f) => f.suspects)
    .sort((a, b) => b.share - a.share);
  return { shown: all.slice(0, SHOWN), folded: all.slice(SHOWN) };
}

/** What weighs most, on the side to which all of it leans. */
export function weightiest({ grounds }: Suspect): string | undefined {
  const sum = grounds.reduce((all, g) => all + g.weight, 0);
  return [...grounds]
    .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
    .find((g) => g.weight * sum >= 0)?.words;
}

/** How probable it is that nothing is wrong, where it is not what the headline says. */
export function nothingWrong(all: Suspects): string {
  const none = all.families.find((f) => f.family === 'NONE');
  return none && !nothingBroken(all) ? `Nothing is wrong: ${word(none.share)}.` : '';
}

/** Low as it always was is another question. */
export const alwaysLow = ({ families, steady }: Suspects) =>
  families[0]?.family === 'NONE' &&
  steady !== undefined &&
  steady.stance === 'LIFT' &&
  steady.held < steady.nights;

/** So many days are drawn, and so many before the day since when it is low. */
const DRAWN_DAYS = 28;
const BEFORE_DAYS = 14;

/** The last days; where it is low for longer, those before it, too: without them nobody sees that it fell. */
export function around<D extends { day: string }>(days: readonly D[], since?: string): D[] {
  const fell = since === undefined ? -1 : days.findIndex(({ day }) => day >= since);
  const last = days.length - DRAWN_DAYS;
  return days.slice(Math.max(0, fell < 0 ? last : Math.min(last, fell - BEFORE_DAYS)));
}
