import type {
  Experiment,
  Open,
  OverExperiment,
  Finding,
  Twin,
  Unknown,
  Units,
} from '../../api/types';
import { between, range, signed } from '../../lib/number';
import { ALKALINITY, alkalinityFromMeq } from '../../lib/units';

/** O2, from IUPAC's standard atomic weights. */
export const OXYGEN_G_PER_MOL = 31.998;
const DAYS_A_WEEK = 7;

const unlearnt: Record<Unknown['unknown'], string> = {
  RESPIRATION: 'assumed',
  PHOTOSYNTHESIS: 'assumed',
  SURFACES: 'as described',
  SKIMMER: 'as described',
  ALKALINITY: 'as tested',
  ROOM: 'as measured',
  ROOM_EXCESS: 'estimated',
  AIR_CHANGES: 'assumed',
  USE: 'as described',
  INTAKE: 'assumed',
  LAMPS: 'as described',
  PROBE: 'as measured',
  DRIFT: 'assumed',
  OXYGEN_PROBE: 'as measured',
};

const hundredths = (share: number) => String(Math.round(share * 100));

/** The band after the log in words. */
export function after(unknown: Unknown, units: Units): string {
  const { low, high } = unknown.after;
  switch (unknown.unknown) {
    case 'RESPIRATION':
    case 'PHOTOSYNTHESIS':
      return `${between((low * OXYGEN_G_PER_MOL).toFixed(2), (high * OXYGEN_G_PER_MOL).toFixed(2))} mg/L an hour`;
    case 'SURFACES':
    case 'SKIMMER':
    case 'ROOM_EXCESS':
    case 'AIR_CHANGES':
      return `× ${between(low.toFixed(2), high.toFixed(2))}`;
    case 'INTAKE':
      return `${between(hundredths(low), hundredths(high))} % outdoor air`;
    case 'USE': {
      const unit = units.alkalinity;
      const { label, digits } = ALKALINITY[unit];
      const shown = (meq: number) => alkalinityFromMeq(meq, unit).toFixed(digits + 1);
      return `${between(shown(low), shown(high))} ${label} a day`;
    }
    case 'ALKALINITY': {
      const unit = units.alkalinity;
      const { label, digits } = ALKALINITY[unit];
      const shown = (meq: number) => signed(alkalinityFromMeq(meq, unit), digits);
      return `${between(shown(low), shown(high))} ${label}`;
    }
    case 'ROOM':
      return `${between(signed(low), signed(high))} ppm`;
    case 'LAMPS':
      return `${between(signed(low * 60), signed(high * 60))} min`;
    case 'PROBE':
      return `${between(signed(low, 2), signed(high, 2))} pH`;
    case 'DRIFT':
      return `${between(signed(low * DAYS_A_WEEK, 3), signed(high * DAYS_A_WEEK, 3))} pH a week`;
    case 'OXYGEN_PROBE':
      return `${between(signed(low, 1), signed(high, 1))} mg/L`;
  }
}

export function how(unknown: Unknown, useDosed = false): string {
  if (unknown.learnt) return 'learned';
  return unknown.unknown === 'USE' && useDosed ? 'doses and tests' : unlearnt[unknown.unknown];
}

/** What a decision is open by, in words. */
export function openness(open: Pick<Open, 'decision' | 'value'>): string {
  const value = open.value;
  if (!value) return 'not possible: this tank would run out of oxygen';
  if (open.decision === 'OXYGEN_WITHOUT_SKIMMER') return `${range(value, 1)} mg/L`;
  if (open.decision === 'TROUGH' || open.decision === 'TROUGH_WITHOUT_SKIMMER')
    return range(value, 2);
  return between(signed(value.low, 2), signed(value.high, 2));
}

/** In one sentence. */
/** How long a log is that holds so many half hours, as people say it. */
export function daysOfPh(halfHours: number): string {
  const hours = Math.round(halfHours / 2);
  return hours < 48 ? `${String(hours)} hours` : `${String(Math.round(hours / 24))} days`;
}

/** What the model has learned that a keeper asks for first. */
export function verdict(twin: Twin): string {
  const respiration = twin.unknowns.find((u) => u.unknown === 'RESPIRATION');
  if (!twin.fitted || !respiration) return 'The model has learned nothing from your log yet.';
  const mg = (mmol: number) => (mmol * OXYGEN_G_PER_MOL).toFixed(2);
  return `This reef uses ${between(mg(respiration.after.low), mg(respiration.after.high))} mg/L of oxygen an hour.`;
}

/** What an experiment would narrow, in hundredths, the most first; nothing that rounds to less than five. */
export function narrows(experiment: Experiment, open: readonly Open[]): string[] {
  return experiment.narrowing
    .map((share, i) => ({ share, name: open[i]?.name ?? '' }))
    .filter((n) => n.share >= 0.05)
    .sort((a, b) => b.share - a.share)
    .slice(0, 3)
    .map((n) => `${n.name} by ${String(Math.round(n.share * 100))} %`);
}

/** By how much a band is narrower, in words; wider bands are said to be. */
const narrower = (share: number) =>
  share < 0
    ? `${String(Math.round(-share * 100))} % wider`
    : `${String(Math.round(share * 100))} % narrower`;

/** What is known of a decision after an experiment, beside what was promised. */
export function finding(one: Finding): { now: string; narrower: string } {
  const promised = `${String(Math.round(one.promised * 100))} % promised`;
  return one.after
    ? {
        now: openness({ decision: one.decision, value: one.after }),
        narrower: `${narrower(one.achieved ?? 0)}, ${promised}`,
      }
    : { now: 'unknown', narrower: promised };
}

/** What an experiment showed of that decision of which it promised most. */
export function came({ findings: all, settled }: OverExperiment): string {
  const most = all.find((t) => t.after && t.achieved !== undefined);
  if (!most) return 'No result yet: the model is not fitted to this log.';
  const so = settled ? '' : ' so far';
  return `Result for ${most.name}${so}: ${finding(most).now}, ${finding(most).narrower}.`;
}
