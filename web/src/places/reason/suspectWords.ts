import type { Suspect, SuspectCheck, SuspectFamily, Suspects } from '../../api/types';
import { dayOfMonth } from '../../lib/time';

const LIKELY = 0.5;
const POSSIBLE = 0.2;
const HARDLY = 0.03;
/** A first family with less than this stands out from no other. */
const STANDS_OUT = 0.4;

/** How probable, in a word: a figure would claim more than is known. */
export const word = (share: number) =>
  share > LIKELY
    ? 'likely'
    : share > POSSIBLE
      ? 'possible'
      : share > HARDLY
        ? 'less likely'
        : 'hardly likely';

/** The sentence that all of it comes to. */
export function headline(all: Suspects): string {
  const [first, second] = all.families;
  if (!first) return 'Nothing can be said yet.';
  if (first.family === 'NONE') return 'Nothing seems wrong: it is within this tank’s usual.';
  const suspect = first.suspects[0];
  if (first.share > STANDS_OUT && suspect) {
    return suspect.share > LIKELY
      ? `${suspect.title}: that fits best.`
      : `It has to do with ${first.label}.`;
  }
  return second
    ? `Not decided: ${first.label}, or ${second.label}.`
    : `Not decided, perhaps ${first.label}.`;
}

/** What the last week says to whoever wants it steady, or high; nothing without whole days. */
export function steadySentence({ steady }: Suspects): string {
  if (!steady) return '';
  const { held, nights, line } = steady;
  const days = `on ${held} of ${nights} days of the last week the trough held above ${line.toFixed(2)}`;
  if (steady.stance === 'STEADY') {
    return held === nights
      ? `You keep this tank steady, and ${days}. While it does, there is nothing to chase.`
      : `You keep this tank steady; ${days}.`;
  }
  return held === nights
    ? `You lift this tank, and ${days}, your goal: enough. While it does, there is nothing to chase.`
    : `You lift this tank; ${days}, your goal.`;
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

/** Those that are worth showing at once, the others to be folded away; that nothing is wrong, the headline says. */
export function parted(families: readonly SuspectFamily[]) {
  const blamed = families.filter((f) => f.family !== 'NONE');
  const shown = blamed.filter((f, i) => i === 0 || f.share > HARDLY);
  return { shown, folded: blamed.filter((f) => !shown.includes(f)) };
}

/** How probable it is that nothing is wrong, where it is not what the headline says. */
export function nothingWrong(families: readonly SuspectFamily[]): string {
  const none = families.find((f) => f.family === 'NONE');
  return none && none !== families[0] ? `That nothing is wrong is ${word(none.share)}.` : '';
}

/** Low as it always was is another question. */
export const alwaysLow = ({ families, steady }: Suspects) =>
  families[0]?.family === 'NONE' &&
  steady !== undefined &&
  steady.stance === 'LIFT' &&
  steady.held < steady.nights;
