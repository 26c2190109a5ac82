import type {
  EffectCard,
  EffectFound,
  EffectTrial,
  StepChange,
  Units,
  UseBeside,
} from '../../api/types';
import { money } from '../../lib/money';
import { range, signed, signedRange } from '../../lib/number';
import { plainDay } from '../../lib/time';
import { PARTS } from '../../lib/tankParts';
import { ALKALINITY, bandFromMeq } from '../../lib/units';

const WORTH_SAYING = 0.005;
const DAY_MS = 86_400_000;

/** What changed, in a few words. */
export function what(change: StepChange): string {
  switch (change.what) {
    case 'BEGAN':
      return change.title;
    case 'ENDED':
      return `${change.title}: over`;
    case 'DESCRIBED':
      return `described anew: ${change.parts.map((part) => PARTS[part]).join(', ')}`;
  }
}

export const title = (card: EffectCard) => {
  const all = card.changes.map(what).join(' and ');
  return all.charAt(0).toUpperCase() + all.slice(1);
};

const days = (n: number) => (n === 1 ? '1 whole day' : `${n} whole days`);

const between = (from: string, until: string) =>
  Math.max(0, Math.round((Date.parse(until) - Date.parse(from)) / DAY_MS));

/** How many days stand on each side, and why not more. */
export function windows(card: EffectCard): string {
  const w = card.windows;
  const before = card.found?.effect.daysBefore.length ?? between(w.before, w.change);
  const after = card.found?.effect.daysAfter.length ?? between(w.after, w.end);
  const cut = [
    w.cutBefore && `not before “${w.cutBefore.title}” had settled`,
    w.cutAfter && `cut short by “${w.cutAfter.title}”`,
    w.coming && 'more are still to come',
  ].filter(Boolean);
  return `${days(before)} before, ${after} after${cut.length > 0 ? ` (${cut.join('; ')})` : ''}`;
}

/** Whether there is time between the change before, once it has settled, and this one. */
const daysBefore = (card: EffectCard) => between(card.windows.before, card.windows.change) > 0;

/** Whether there is time between its settling and the next change, or now. */
const daysAfter = (card: EffectCard) => between(card.windows.after, card.windows.end) > 0;

/** In a word or two, for a list. */
export function word(card: EffectCard): string {
  const found = card.found;
  if (found) return verdictWord(found.verdict, found.moreDays === 0);
  if (card.trial) return `${verdictWord(card.trial.verdict, false)}, by hours`;
  if (card.missing) return 'not compared yet';
  if (card.windows.cutBefore && !daysBefore(card)) return 'too close to the last';
  if (daysAfter(card)) return 'no days to compare';
  return card.windows.cutAfter ? 'cut short' : card.windows.coming ? 'too soon' : 'no days';
}

function verdictWord(verdict: EffectFound['verdict'], enough: boolean): string {
  switch (verdict) {
    case 'THIN':
      return 'thin';
    case 'NOT_TOLD':
      return enough ? 'no change that matters' : 'cannot be told';
    case 'NONE_EXPECTED':
      return 'no effect of its own';
    case 'AS_POSSIBLE':
      return 'as possible here';
    case 'LESS_THAN_POSSIBLE':
      return 'less than possible';
    case 'MORE_THAN_POSSIBLE':
      return 'more than possible';
    case 'ROSE':
      return 'it rose';
    case 'FELL':
      return 'it fell';
  }
}

/** The sentence that follows. */
export function headline(card: EffectCard): string {
  const found = card.found;
  if (!found) {
    if (card.trial) return trialHeadline(card.trial);
    if (card.missing) return 'Not compared yet.';
    if (card.windows.cutBefore && !daysBefore(card))
      return `“${card.windows.cutBefore.title}” had not settled yet when it came.`;
    if (card.windows.cutAfter && !daysAfter(card))
      return `Cut short: “${card.windows.cutAfter.title}” came before the water had settled.`;
    return card.windows.coming && !daysAfter(card)
      ? 'Too soon: the first whole day after it has settled is still to come.'
      : 'There is no whole day of pH to compare with on one of both sides.';
  }
  const left = found.effect.trough.left;
  const band = signedRange(bandOf(found));
  switch (found.verdict) {
    case 'THIN':
      return left.low === undefined
        ? `Thin: one day on each side. The trough moved by ${signed(found.effect.trough.raw, 2)}.`
        : `Thin, with fewer than three days on a side: left for it is ${band}${inside(found)}.`;
    case 'NOT_TOLD':
      return found.moreDays === 0
        ? `No change that matters: what is left lies from ${band}.`
        : `Cannot be told${card.windows.coming ? later(found) : ''}: what is left lies from ${band}.`;
    case 'NONE_EXPECTED':
      return 'It did what the readings of room and water show, and nothing beside that.';
    case 'AS_POSSIBLE':
      return 'It did what it could.';
    case 'LESS_THAN_POSSIBLE':
      return claimed(bandOf(found)) && left.value * (found.possible?.value ?? 0) < 0
        ? 'It went the other way.'
        : 'Less came of it than is possible here.';
    case 'MORE_THAN_POSSIBLE':
      return `More than this can do here: look for another cause.`;
    case 'ROSE':
      return `The trough rose by ${band}, and nothing measured explains it.`;
    case 'FELL':
      return `The trough fell by ${fallen(bandOf(found))}, and nothing measured explains it.`;
  }
}

const claimed = (band: { low: number; high: number }) => band.low > 0 || band.high < 0;

/** The sentence of a card that has hours but no whole days. */
function trialHeadline({ hours, verdict }: EffectTrial): string {
  const band = leftOf(hours);
  const long = `In ${hoursOf(hours)} h`;
  switch (verdict) {
    case 'AS_POSSIBLE':
      return `${long} it did what it could: ${signedRange(band)}.`;
    case 'LESS_THAN_POSSIBLE':
      return claimed(band) && band.value * (hours.possible?.value ?? 0) < 0
        ? `${long} it went the other way: ${signedRange(band)}.`
        : `${long} less came of it than is possible here: ${signedRange(band)}.`;
    case 'MORE_THAN_POSSIBLE':
      return `${long} more came of it than this can do here (${signedRange(band)}): look for another cause.`;
    case 'NONE_EXPECTED':
      return `${long} it did what the readings of room and water show, and nothing beside that.`;
    case 'ROSE':
      return `${long} pH rose by ${range(band, 2)}, and nothing measured explains it.`;
    case 'FELL':
      return `${long} pH fell by ${fallen(band)}, and nothing measured explains it.`;
    default:
      return `${long} no effect can be made out: what is left lies from ${signedRange(band)}.`;
  }
}

const hoursOf = (hours: EffectTrial['hours']) =>
  Math.round((Date.parse(hours.until) - Date.parse(hours.from)) / 3_600_000);

/** Where a trial would end, as a band. */
export function leftOf({ left }: EffectTrial['hours']) {
  return { value: left.value, low: left.low ?? left.value, high: left.high ?? left.value };
}

/** On what a trial's figures rest, sentence by sentence. */
export function besideTrial({ hours, roomMeasured }: EffectTrial): string[] {
  return [
    `No whole day stood after it, so its hours are compared with the same hours of the days before; ${Math.round(100 * hours.through)} % of it had come through at the end, and the figure is where it would end.`,
    `What the same sum finds in ${hours.stretches} stretches of those days, when nothing was changed, is its band.`,
    hours.possible
      ? `Possible in these very hours: ${signedRange(hours.possible)}.`
      : 'Nobody said in the Bench’s terms what was done: nothing to hold it against.',
    ...(roomMeasured
      ? []
      : ['Nobody measured the room’s CO2: what people and windows did is in it.']),
  ];
}

/** How that lies to what is possible here; nothing where that is not known. */
function inside(found: EffectFound): string {
  const band = bandOf(found);
  if (!found.possible) return '';
  return band.low <= found.possible.high && band.high >= found.possible.low
    ? ', as is possible here'
    : ', unlike what is possible here';
}

const fallen = (band: { value: number; low: number; high: number }) =>
  range({ value: -band.value, low: -band.high, high: -band.low }, 2);

/** What is left, as a band; the value alone where there are too few days for one. */
export function bandOf(found: EffectFound) {
  const { value, low, high } = found.effect.trough.left;
  return { value, low: low ?? value, high: high ?? value };
}

const later = (found: EffectFound) =>
  found.moreDays === undefined || found.moreDays === 0
    ? ''
    : ` yet (${found.moreDays} more ${found.moreDays === 1 ? 'day' : 'days'} would)`;

/** What else is to be said of it, sentence by sentence. */
export function beside(card: EffectCard): string[] {
  const found = card.found;
  if (!found) return [];
  const { trough, peak, ofAlkalinity, explained } = found.effect;
  const room = trough.explained - ofAlkalinity;
  const shares = [
    Math.abs(room) >= WORTH_SAYING &&
      `${found.roomMeasured ? 'room, warmth and what stood on the tank' : 'warmth and what stood on the tank'} ${signed(room, 2)}`,
    Math.abs(ofAlkalinity) >= WORTH_SAYING && `alkalinity ${signed(ofAlkalinity, 2)}`,
  ].filter(Boolean);
  return [
    explained
      ? shares.length > 0
        ? `Explained: ${shares.join(', ')}.`
        : 'Neither room nor alkalinity explain anything of it.'
      : 'The twin had too little log before it: nothing is explained, and all of it is raw.',
    ...(explained && !found.roomMeasured
      ? ['Nobody measured the room’s CO2: what people and windows did is in what is left.']
      : []),
    `Peak: ${signed(peak.raw, 2)} raw, ${peak.left.low === undefined || peak.left.high === undefined ? signed(peak.left.value, 2) : signedRange({ value: peak.left.value, low: peak.left.low, high: peak.left.high })} left.`,
    ...(trough.scatter === undefined
      ? []
      : [`Days differ by ${trough.scatter.toFixed(2)} among each other.`]),
    ...(found.calibrated ? ['The probe was calibrated between: the band is wider for it.'] : []),
    ...(together(card)
      ? ['Done within a day of each other: only switching one off again would part them.']
      : []),
    ...(card.stands === false
      ? ['Counted with all other cards it may well be chance: one in ten shows as much by itself.']
      : []),
    ...(found.problem ? [found.problem] : []),
  ];
}

/** Above it aragonite falls out on warm and rough places by itself. Common practice. */
const CRUSTS_ABOVE = 5;

/** Whether more alkalinity is used since pH moved: what goes with such a step, and no proof of it. */
export function usedSince(card: EffectCard, units: Units): string[] {
  return card.use && card.found ? usedWords(card.use, card.found.effect.mean.raw > 0, units) : [];
}

function usedWords(
  { step, said, dosed, omegaAtPeak }: UseBeside,
  phRose: boolean,
  units: Units,
): string[] {
  const { label, digits } = ALKALINITY[units.alkalinity];
  const changed = bandFromMeq(step.changed, units.alkalinity);
  const rests = `${step.before.tests} tests before, ${step.after.tests} since, ${dosed ? 'with what arrived' : 'what is dosed taken as the same'}`;
  if (said === 'NOT_TOLD')
    return [
      `Use of alkalinity: ${signed(changed.low, digits + 1)} to ${signed(changed.high, digits + 1)} ${label} a day since, so tests show no step of it (${rests}).`,
    ];
  const rose = said === 'ROSE';
  const size = rose ? changed : { value: -changed.value, low: -changed.high, high: -changed.low };
  return [
    `${range(size, digits + 1)} ${label} a day ${rose ? 'more' : 'less'} alkalinity is used since (${rests}).`,
    rose === phRose
      ? 'It goes with a pH that moved the same way, and proves nothing of what moved it.'
      : 'pH moved the other way: look at tests and doses before you look at the animals.',
    ...(rose && omegaAtPeak > CRUSTS_ABOVE
      ? [
          `At the day’s peak aragonite is ${omegaAtPeak.toFixed(1)} times saturated: look for a white crust on heaters and pumps before you take it for growth.`,
        ]
      : []),
  ];
}

/** What it costs to run, and what a tenth of pH at the trough costs by what was found. */
export function costs(card: EffectCard, currency: string): string | undefined {
  const { perMonth, found } = card;
  if (perMonth === undefined) return undefined;
  if (perMonth < 0.5) return 'It costs next to nothing to run.';
  const month = `It costs about ${money(perMonth, currency)} a month to run, at assumed prices`;
  if (!found) return `${month}.`;
  const { low, high } = bandOf(found);
  const tenth = (gain: number) => money((0.1 * perMonth) / gain, currency);
  if (low > 0.005)
    return `${month}: ${tenth(high)} to ${tenth(low)} a month for each 0.1 of pH at the trough.`;
  return high > 0.005
    ? `${month}: at least ${tenth(high)} a month for each 0.1 of pH at the trough.`
    : `${month}, and nothing came of it.`;
}

/** Several changes that nothing parts. */
const together = ({ changes }: EffectCard) =>
  changes.length > 1 &&
  Date.parse(changes.at(-1)?.at ?? '') - Date.parse(changes[0]?.at ?? '') <= DAY_MS;

/** When it was, and on what it rests. */
export const since = (card: EffectCard) =>
  `since ${plainDay(card.windows.change)} · ${windows(card)}`;

export const troughs = (found: EffectFound) => ({
  before: `trough ${found.effect.trough.before.toFixed(2)}, peak ${found.effect.peak.before.toFixed(2)}`,
  after: `trough ${found.effect.trough.after.toFixed(2)}, peak ${found.effect.peak.after.toFixed(2)}`,
});

/** For those who do not see the drawing. */
export const worth = (found: EffectFound) =>
  `Trough ${signed(found.effect.trough.raw, 2)} raw, ${signed(found.effect.trough.explained, 2)} explained, ${signedRange(bandOf(found))} left; possible here: ${found.possible ? signedRange(found.possible) : 'not known'}.`;
