import type {
  Creep,
  Delivered,
  DoseUse,
  Estimate,
  Line,
  MixingCard,
  PutMeasure,
  Units,
} from '../../api/types';
import { between, range } from '../../lib/number';
import { localInput, plainDay } from '../../lib/time';
import { ALKALINITY, alkalinityFromMeq, bandFromMeq } from '../../lib/units';

export const SOLUTES: Record<Line['solute'], string> = {
  LIMEWATER: 'limewater',
  SODA_ASH: 'soda ash',
  BICARBONATE: 'sodium bicarbonate',
  SODIUM_HYDROXIDE: 'sodium hydroxide',
  POTASSIUM_HYDROXIDE: 'potassium hydroxide',
  CALCIUM_CHLORIDE: 'calcium chloride',
  MAGNESIUM_CHLORIDE: 'magnesium chloride',
  MAGNESIUM_SULFATE: 'magnesium sulfate',
  POTASSIUM_CHLORIDE: 'potassium chloride',
};

const GRAMS_A_OUNCE = 28.349523;

/** What is weighed out: on a scale, and by eye where that harms nobody. */
export function weighed({ grams, teaspoons }: MixingCard, units: Units): string {
  const scale = grams < 10 ? grams.toFixed(1) : grams.toFixed(0);
  const ounces = units.volume === 'LITRE' ? '' : ` (${(grams / GRAMS_A_OUNCE).toFixed(2)} oz)`;
  const spoons =
    teaspoons === undefined
      ? ', on a scale only'
      : `, about ${teaspoons < 10 ? (Math.round(2 * teaspoons) / 2).toString() : teaspoons.toFixed(0)} level teaspoons of 5 mL`;
  return `${scale} g${ounces}${spoons}`;
}

/** The plan that would keep up better, and why. */
export function nextStep(line: Line, units: Units): string | undefined {
  const next = line.next;
  if (!next) return undefined;
  const { label, digits } = ALKALINITY[units.alkalinity];
  const missing = bandFromMeq(next.missing, units.alkalinity);
  const short = missing.value > 0;
  const size = short ? missing : { value: -missing.value, low: -missing.high, high: -missing.low };
  return `Tests ${short ? 'fall' : 'climb'}: ${range(size, digits + 1)} ${label} a day ${short ? 'more are used than arrive' : 'more arrive than are used'}. Correct half of that first${next.limited ? ', as far as the safety limits allow' : ''}: ${Math.round(next.mlPerDay)} mL a day. Test again in 2–3 days at the same hour.`;
}

/** Less than this is too short to wait for the next look, days. */
const REFILL_SOON_D = 2;

/** What to do where the plan stays. */
export function stepWithoutPlan(line: Line): string {
  if (line.state === 'TOO_MUCH') return 'Stop the pump: too much is dosed.';
  if (line.state === 'SHORT') return 'Find out why less arrives.';
  if (line.daysLeft && line.daysLeft.low < REFILL_SOON_D) return 'Refill the reservoir.';
  return line.state === 'NOT_KNOWN' ? 'Log the level of the reservoir.' : 'Nothing to change.';
}

/** When of the day. */
export const timesInWords = (times: Line['times']) =>
  times === undefined
    ? 'runs all day'
    : `${times.perDay === 1 ? 'one dose' : `${times.perDay} doses`} from ${times.first}${times.overH < 24 ? ` over ${times.overH} h` : ''}`;

/** What was planned at a home's local time, mL a day; nothing before its first plan. */
export function plannedAt(line: Line, at: string, zone: string): number {
  const known = line.plans.filter((p) => localInput(new Date(p.since), zone) <= at);
  return known.at(-1)?.mlPerDay ?? 0;
}

/** Of all alkalinity that lines bring, what the others of them do, 0 to 1. */
export function shareOfOthers(line: Line, all: readonly Line[]): number {
  const running = all.filter((l) => !l.endedAt);
  const sum = running.reduce((meq, l) => meq + l.meqPerLPerDay, 0);
  return sum <= 0 ? 0 : 1 - line.meqPerLPerDay / sum;
}

/** What the Bench would put on for it; nothing for what moves no alkalinity. */
export function asMeasure(line: Line): PutMeasure | undefined {
  if (line.meqPerLPerDay <= 0) return undefined;
  return line.solute === 'LIMEWATER'
    ? {
        kind: 'limewater',
        numbers: {
          mlPerDay: line.mlPerDay,
          strength: line.share,
        },
      }
    : {
        kind: 'source',
        choices: { source: line.solute },
        numbers: { dkhPerDay: alkalinityFromMeq(line.meqPerLPerDay, 'DKH') },
      };
}

const DAYS_A_MONTH = 30;

function weekly(share: number, where: string): string {
  return share < 0.005
    ? 'any water change corrects this'
    : share <= 0.5
      ? `changing ${Math.ceil(100 * share - 1e-9)} % of the water a week keeps it ${where}`
      : 'no usual water change keeps up';
}

/** What stays behind of what is dosed, sentence by sentence. */
export function staysBehind(creep: Creep, now: number): string[] {
  const { potassiumMgPerL: potassium, saltMgPerL: salt, daysToMostPotassium: days } = creep;
  return [
    ...(potassium > 0 && days !== undefined
      ? [
          `Potassium rises by ${potassium.toFixed(potassium < 10 ? 1 : 0)} mg/L a day. From about ${creep.potassiumNow.toFixed(0)} it passes 500 mg/L on ${plainDay(new Date(now + days * 86_400_000).toISOString().slice(0, 10))}; ${weekly(creep.weeklyForPotassium, 'there')}. Test potassium.`,
        ]
      : []),
    ...(salt > 0
      ? [
          `Salinity rises by about ${((salt * DAYS_A_MONTH) / 1000).toFixed(2)} psu a month; ${weekly(creep.weeklyForSalt, 'within 1 psu of now')}.`,
        ]
      : []),
  ];
}

/** What burns skin and eyes. */
export const CAUSTIC: readonly Line['solute'][] = [
  'LIMEWATER',
  'SODIUM_HYDROXIDE',
  'POTASSIUM_HYDROXIDE',
];

const percent = ({ low, high }: Estimate) =>
  `${between(String(Math.round(100 * low)), String(Math.round(100 * high)))} %`;

/** What its levels say of a line, in a sentence. */
export function headline(line: Line): string {
  if (line.endedAt) return 'This dosing line has stopped.';
  const arrives = line.delivers;
  if (!arrives)
    return line.notes.some((n) => n.kind === 'FILLED' || n.kind === 'LEVEL')
      ? 'Read the level once more to see how much arrives.'
      : 'Log a filling, then a level, to see how much arrives.';
  const share = percent(arrives);
  const by = line.cylinderShare ? ', by the cylinder' : '';
  if (line.state === 'NOT_KNOWN')
    return `This dosing line delivers ${share} of plan${by}. That range is too wide to judge: read the level once more.`;
  if (line.state === 'SHORT') return `This dosing line delivers only ${share} of plan${by}.`;
  return line.state === 'TOO_MUCH'
    ? `This dosing line delivers more than planned${by}: ${share}. Stop the pump and check.`
    : `This dosing line delivers ${share} of plan${by}. Working normally.`;
}

/** When it will be empty. */
export function emptyIn(days: Estimate | undefined): string | undefined {
  if (!days) return undefined;
  if (days.high < 1) return 'The reservoir is about empty.';
  const [low, high] = [Math.floor(days.low), Math.ceil(days.high)];
  return high - low < 1 || Math.round(days.low) === Math.round(days.high)
    ? `Empty in about ${Math.round(days.value)} days.`
    : `Empty in ${low}–${high} days.`;
}

/** What it brings a day as planned. */
export function brings(line: Line, units: Units): string {
  const { label, digits } = ALKALINITY[units.alkalinity];
  const alkalinity = alkalinityFromMeq(line.meqPerLPerDay, units.alkalinity).toFixed(digits + 1);
  const calcium =
    line.calciumMgPerLPerDay > 0 ? `${line.calciumMgPerLPerDay.toFixed(1)} mg/L of calcium` : '';
  const both = [line.meqPerLPerDay > 0 ? `${alkalinity} ${label}` : '', calcium].filter(Boolean);
  return `${Math.round(line.mlPerDay)} mL a day, ${both.join(' and ')}`;
}

/** Runs one after the other, where they differ by more than chance: what a change was worth. */
export function beforeAndAfter(runs: readonly Delivered[]): string | undefined {
  const [before, after] = runs.slice(-2);
  return before &&
    after &&
    (before.share.high < after.share.low || after.share.high < before.share.low)
    ? `${percent(before.share)} in the run before, ${percent(after.share)} since.`
    : undefined;
}

/** What the water loses, and whether that is growth or crust alike. */
export function used(use: DoseUse, units: Units): string[] {
  const { label, digits } = ALKALINITY[units.alkalinity];
  const shown = (e: Estimate) => range(bandFromMeq(e, units.alkalinity), digits + 1);
  if (!use.alkalinity)
    return [`Not yet enough data: fewer than three alkalinity tests in ${use.days} days.`];
  const changed = shown(use.alkalinity.changedPerDay).replaceAll('-', '−');
  return [
    `Your animals use ${shown(use.alkalinity.perDay)} ${label} a day: ${shown(use.alkalinity.arrivedPerDay)} arrived, and ${use.alkalinity.tests} tests changed by ${changed} a day.`,
    ...(use.calcium ? [`Calcium: ${range(use.calcium.perDay, 1)} mg/L a day.`] : []),
    ...(use.calciumPerMeq ? [ratio(use.calciumPerMeq)] : []),
  ];
}

/** 20 mg/L go with 1 meq/L into skeletons and crusts alike. */
function ratio(perMeq: Estimate): string {
  const words = `${range(perMeq, 0)} mg/L of calcium are used with each meq/L`;
  if (perMeq.high < 15 || perMeq.low > 25)
    return `${words}. Coral growth takes 20. Something else adds or uses one of the two.`;
  return `${words}, as in coral growth or crusts (20). Animals grow, or scale forms on heaters and pumps.`;
}
