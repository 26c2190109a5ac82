import type { Forecast, MeasureKind } from '../../../api/types';

/** Where along the CO2's path a change acts, from outdoors into the water. */
export const PATH = [
  'Room air',
  'Skimmer intake',
  'Surface and bubbles',
  'Water',
  'Animals and light',
  'Faults, to see their effect',
] as const;

export type PathPlace = (typeof PATH)[number];

const ACTS_ON: Record<string, PathPlace> = {
  window: 'Room air',
  ventilator: 'Room air',
  nobody: 'Room air',
  'outdoor-line': 'Skimmer intake',
  scrubber: 'Skimmer intake',
  'recirculated-media': 'Skimmer intake',
  cabinet: 'Skimmer intake',
  'skimmer-draw': 'Skimmer intake',
  surface: 'Surface and bubbles',
  canopy: 'Surface and bubbles',
  stone: 'Surface and bubbles',
  'outdoor-stone': 'Surface and bubbles',
  'surface-fan': 'Surface and bubbles',
  'second-skimmer': 'Surface and bubbles',
  refugium: 'Animals and light',
  reactor: 'Animals and light',
  lamps: 'Animals and light',
};

/** What is unknown acts on the water: everything does in the end. */
export const placeOf = (measure: Pick<MeasureKind, 'kind' | 'fault'>): PathPlace =>
  measure.fault ? 'Faults, to see their effect' : (ACTS_ON[measure.kind] ?? 'Water');

export interface Group {
  name: string;
  measures: MeasureKind[];
}

/** The measures in the order of the path; places without any are left out. */
export const alongThePath = (measures: readonly MeasureKind[]): Group[] =>
  PATH.map((name) => ({ name, measures: measures.filter((m) => placeOf(m) === name) })).filter(
    (group) => group.measures.length > 0,
  );

/** A good one gains at least so much in the worse models; less is lost among ordinary days. Assumed. */
const WORTH_PH = 0.03;

const yearly = ({ cost }: Forecast) => cost.toFit / 3 + cost.perMonth * 12;

/** Cheapest good one first, spread over three years; then what gains little; faults last. */
export function cheapestFirst(
  measures: readonly MeasureKind[],
  gains: ReadonlyMap<string, Forecast>,
): Group[] {
  const known = measures.filter((m) => !m.fault);
  const isGood = (m: MeasureKind) => (gains.get(m.kind)?.gainPh.low ?? -1) >= WORTH_PH;
  const cost = (m: MeasureKind) => {
    const forecast = gains.get(m.kind);
    return forecast ? yearly(forecast) : Infinity;
  };
  const good = known.filter(isGood).sort((a, b) => cost(a) - cost(b));
  const rest = known.filter((m) => !isGood(m));
  return [
    { name: 'Worth it here · cheapest first', measures: good },
    { name: 'Gains little here', measures: rest },
    { name: 'Faults, to see their effect', measures: measures.filter((m) => m.fault) },
  ].filter((group) => group.measures.length > 0);
}
