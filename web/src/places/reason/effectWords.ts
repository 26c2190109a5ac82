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
import { capital } from '../../lib/capital';

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
      return `description changed: ${change.parts.map((part) => PARTS[part]).join(', ')}`;
  }
}

export const title = (card: EffectCard) => {
  const all = card.changes.map(what).join(' and ');
  return capital(all);
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
    w.cutBefore && `not until “${w.cutBefore.title}” had settled`,
    w.cutAfter && `cut short by “${w.cutAfter.title}”`,
    w.coming && 'more to come',
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
  if (card.windows.cutBefore && !daysBefore(card)) return 'too close to the previous change';
  if (daysAfter(card)) return 'no days to compare';
  return card.windows.cutAfter ? 'cut short' : card.windows.coming ? 'too soon' : 'no days';
}

function verdictWord(verdict: EffectFound['verdict'], enough: boolean): string {
  switch (verdict) {
    case 'THIN':
      return 'too few days yet';
    case 'NOT_TOLD':
      return enough ? 'no change that matters' : 'not yet enough data';
    case 'NONE_EXPECTED':
      return 'no effect of its own';
    case 'AS_POSSIBLE':
      return 'as expected';
    case 'LESS_THAN_POSSIBLE':
      return 'less than expected';
    case 'MORE_THAN_POSSIBLE':
      return 'more than expected';
    case 'ROSE':
      return 'low rose';
    case 'FELL':
      return 'low fell';
  }
}

/** The sentence that follows. */
export function headline(card: EffectCard): string {
  const found = card.found;
  if (!found) {
    if (card.trial) return trialHeadline(card.trial);
    if (card.missing) return 'Not compared yet.';
    if (card.windows.cutBefore && !daysBefore(card))
      return `“${card.windows.cutBefore.title}” had not settled yet when this change came.`;
    if (card.windows.cutAfter && !daysAfter(card))
      return `Cut short: “${card.windows.cutAfter.title}” came before the water had settled.`;
    return card.windows.coming && !daysAfter(card)
      ? 'Too soon: no whole day after settling yet.'
      : 'No whole day of pH to compare on one side.';
  }
  const left = found.effect.trough.left;
  const band = signedRange(bandOf(found));
  switch (found.verdict) {
    case 'THIN':
      return left.low === undefined
        ? `Not enough days yet: one on each side. The daily low changed by ${signed(found.effect.trough.raw, 2)}.`
        : `Not enough days yet: fewer than three on one side. So far this change could have moved the low by ${band}${inside(found)}.`;
    case 'NOT_TOLD':
      return found.moreDays === 0
        ? `No change that matters: between ${band}.`
        : `We can’t tell yet${card.windows.coming ? later(found) : ''}: the effect is between ${band}.`;
    case 'NONE_EXPECTED':
      return 'Room and water readings explain all of the change.';
    case 'AS_POSSIBLE':
      return 'It worked as expected.';
    case 'LESS_THAN_POSSIBLE':
      return claimed(bandOf(found)) && left.value * (found.possible?.value ?? 0) < 0
        ? 'It did the opposite.'
        : 'It helped less than expected.';
    case 'MORE_THAN_POSSIBLE':
      return `More than expected: look for another cause.`;
    case 'ROSE':
      return `The daily low rose by ${band}. Nothing measured explains that.`;
    case 'FELL':
      return `The daily low fell by ${fallen(bandOf(found))}. Nothing measured explains that.`;
  }
}

const claimed = (band: { low: number; high: number }) => band.low > 0 || band.high < 0;

/** The sentence of a card that has hours but no whole days. */
function trialHeadline({ hours, verdict }: EffectTrial): string {
  const band = leftOf(hours);
  const long = `In ${hoursOf(hours)} h`;
  switch (verdict) {
    case 'AS_POSSIBLE':
      return `${long} it worked as expected: ${signedRange(band)}.`;
    case 'LESS_THAN_POSSIBLE':
      return claimed(band) && band.value * (hours.possible?.value ?? 0) < 0
        ? `${long} it did the opposite: ${signedRange(band)}.`
        : `${long} it helped less than expected: ${signedRange(band)}.`;
    case 'MORE_THAN_POSSIBLE':
      return `${long} more than expected (${signedRange(band)}): look for another cause.`;
    case 'NONE_EXPECTED':
      return `${long} room and water readings explain all of the change.`;
    case 'ROSE':
      return `${long} pH rose by ${range(band, 2)}. Nothing measured explains that.`;
    case 'FELL':
      return `${long} pH fell by ${fallen(band)}. Nothing measured explains that.`;
    default:
      return `${long} no clear effect: between ${signedRange(band)}.`;
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
    `No whole day followed, so we compare single hours with the same hours before. ${Math.round(100 * hours.through)} % of the effect had come through. The figure is where it would end.`,
    `The range is what we find in ${hours.stretches} stretches of those days without a change.`,
    hours.possible
      ? `Expected in these hours: ${signedRange(hours.possible)}.`
      : 'Describe the change on the Bench to see what to expect from it.',
    ...(roomMeasured
      ? []
      : ['Room CO2 was not measured, so effects of people and windows are included.']),
  ];
}

/** What a change did to the daily low; nothing where no days tell it. */
export function sizeOf(card: EffectCard) {
  const { found, trial } = card;
  const band = found ? bandOf(found) : trial && leftOf(trial.hours);
  if (!band) return undefined;
  const alone = found?.effect.trough.left.low === undefined && !trial;
  return {
    value: band.value,
    range: alone ? '1 day on each side' : signedRange(band),
    clear: !alone && claimed(band) && card.stands !== false && found?.verdict !== 'THIN',
    /** As clear, but for the days: fewer than three on a side. */
    promising: !alone && claimed(band) && found?.verdict === 'THIN',
  };
}

/** How many changes the first sentence names. */
const NAMED = 2;

/** What helped most, in a sentence; what has too few days is not said to have helped. */
export function summary(cards: readonly EffectCard[]): string {
  const raised = cards
    .map((card) => ({ card, size: sizeOf(card) }))
    .filter(({ size }) => size && size.value > 0)
    .sort((a, b) => (b.size?.value ?? 0) - (a.size?.value ?? 0));
  const names = (which: 'clear' | 'promising') =>
    raised
      .filter(({ size }) => size?.[which])
      .slice(0, NAMED)
      .map(({ card, size }) => `${title(card)} ${signed(size?.value ?? 0, 2)}`)
      .join(', ');
  const [helped, promising] = [names('clear'), names('promising')];
  if (helped) return `Helped most: ${helped}.`;
  if (promising) return `Most promising so far: ${promising}. Too few days to be sure.`;
  return cards.some((card) => card.missing)
    ? 'Comparing the days before and after each change…'
    : 'No change has clearly raised your daily low yet.';
}

/** How that lies to what is possible here; nothing where that is not known. */
function inside(found: EffectFound): string {
  const band = bandOf(found);
  if (!found.possible) return '';
  return band.low <= found.possible.high && band.high >= found.possible.low
    ? ', as expected'
    : ', unlike expected';
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
      `${found.roomMeasured ? 'room air, temperature and other changes' : 'temperature and other changes'} ${signed(room, 2)}`,
    Math.abs(ofAlkalinity) >= WORTH_SAYING && `alkalinity ${signed(ofAlkalinity, 2)}`,
  ].filter(Boolean);
  return [
    explained
      ? shares.length > 0
        ? `Explained: ${shares.join(', ')}.`
        : 'Room air and alkalinity explain none of it.'
      : 'Too little log before this change to explain any of it.',
    ...(explained && !found.roomMeasured
      ? ['Room CO2 was not measured, so effects of people and windows are included.']
      : []),
    `Daily high: ${signed(peak.raw, 2)} in all, ${peak.left.low === undefined || peak.left.high === undefined ? signed(peak.left.value, 2) : signedRange({ value: peak.left.value, low: peak.left.low, high: peak.left.high })} from the change.`,
    ...(trough.scatter === undefined
      ? []
      : [`Days usually differ by ${trough.scatter.toFixed(2)}.`]),
    ...(found.calibrated ? ['The probe was calibrated in between, so the range is wider.'] : []),
    ...(together(card)
      ? ['Done within a day of each other. Only undoing one would separate them.']
      : []),
    ...(card.stands === false
      ? ['This could be chance: one in ten comparisons shows as much without a cause.']
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
  const rests = `${step.before.tests} tests before, ${step.after.tests} since, ${dosed ? 'with delivered doses' : 'assuming the same dosing'}`;
  if (said === 'NOT_TOLD')
    return [
      `Alkalinity use since: ${signed(changed.low, digits + 1)} to ${signed(changed.high, digits + 1)} ${label} a day. Your tests show no step (${rests}).`,
    ];
  const rose = said === 'ROSE';
  const size = rose ? changed : { value: -changed.value, low: -changed.high, high: -changed.low };
  return [
    `Animals use ${range(size, digits + 1)} ${label} a day ${rose ? 'more' : 'less'} alkalinity since then (${rests}).`,
    rose === phRose
      ? 'pH moved the same way. That does not prove the cause.'
      : 'pH moved the other way. Check tests and dosing before the animals.',
    ...(rose && omegaAtPeak > CRUSTS_ABOVE
      ? [
          `At the daily high, aragonite is ${omegaAtPeak.toFixed(1)} times saturated. Check heaters and pumps for white crust before you call it growth.`,
        ]
      : []),
  ];
}

/** What it costs to run, and what a tenth of pH at the trough costs by what was found. */
export function costs(card: EffectCard, currency: string): string | undefined {
  const { perMonth, found } = card;
  if (perMonth === undefined) return undefined;
  if (perMonth < 0.5) return 'Running cost: almost nothing.';
  const month = `Running cost: about ${money(perMonth, currency)} a month at assumed prices`;
  if (!found) return `${month}.`;
  const { low, high } = bandOf(found);
  const tenth = (gain: number) => money((0.1 * perMonth) / gain, currency);
  if (low > 0.005) return `${month}: ${tenth(high)}–${tenth(low)} a month per 0.1 of daily low.`;
  return high > 0.005
    ? `${month}: at least ${tenth(high)} a month per 0.1 of daily low.`
    : `${month}, without a gain.`;
}

/** Several changes that nothing parts. */
const together = ({ changes }: EffectCard) =>
  changes.length > 1 &&
  Date.parse(changes.at(-1)?.at ?? '') - Date.parse(changes[0]?.at ?? '') <= DAY_MS;

/** When it was, and on what it rests. */
export const since = (card: EffectCard) =>
  `since ${plainDay(card.windows.change)} · ${windows(card)}`;

export const troughs = (found: EffectFound) => ({
  before: `low ${found.effect.trough.before.toFixed(2)}, high ${found.effect.peak.before.toFixed(2)}`,
  after: `low ${found.effect.trough.after.toFixed(2)}, high ${found.effect.peak.after.toFixed(2)}`,
});

/** For those who do not see the drawing. */
export const worth = (found: EffectFound) =>
  `Daily low ${signed(found.effect.trough.raw, 2)} in all, ${signed(found.effect.trough.explained, 2)} explained, ${signedRange(bandOf(found))} from the change. Expected: ${found.possible ? signedRange(found.possible) : 'unknown'}.`;
