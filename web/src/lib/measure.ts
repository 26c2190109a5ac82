import type { Units } from '../api/types';
import { plain, readNumber } from './number';
import salinity from './salinity.json';
import { LITRES, RAW_UNIT } from './units';

/** What is measured in one unit by those who count in litres and in another by those who count in US gallons. */
export type Measure =
  | 'volume'
  | 'flow'
  | 'length'
  | 'bore'
  | 'area'
  | 'room'
  | 'mass'
  | 'temperature'
  | 'warmth'
  | 'salinity';

/** A unit as a keeper reads it. */
interface Shown {
  label: string;
  digits: number;
  /** Of the unit that the server speaks: L, L/h, m, mm, m², m³, kg, °C, K, psu. */
  from: (value: number) => number;
  to: (shown: number) => number;
}

const times = (label: string, digits: number, factor: number): Shown => ({
  label,
  digits,
  from: (value) => value / factor,
  to: (shown) => shown * factor,
});

type Linear = Exclude<Measure, 'temperature' | 'warmth' | 'salinity'>;

const METRIC: Record<Linear, Shown> = {
  volume: times('L', 1, 1),
  flow: times('L/h', 0, 1),
  length: times('m', 2, 1),
  bore: times('mm', 1, 1),
  area: times('m²', 2, 1),
  room: times('m³', 0, 1),
  mass: times('kg', 1, 1),
};

/** The international foot, inch and pound (1959), by definition. */
const FOOT = 0.3048;
const INCH_MM = 25.4;
const POUND = 0.45359237;

const US: Record<Linear, Shown> = {
  volume: times('US gal', 1, LITRES.US_GALLON.litres),
  flow: times('US gal/h', 0, LITRES.US_GALLON.litres),
  length: times('ft', 1, FOOT),
  bore: times('in', 2, INCH_MM),
  area: times('ft²', 1, FOOT ** 2),
  room: times('ft³', 0, FOOT ** 3),
  mass: times('lb', 1, POUND),
};

const FAHRENHEIT = 1.8;

/** Straight between the whole salinities of a table that the server's own sums make. */
function onScale(table: readonly number[], label: string, digits: number): Shown {
  const last = table.length - 1;
  const between = (a: number, b: number, share: number) => a + share * (b - a);
  return {
    label,
    digits,
    from: (psu) => {
      const i = Math.max(0, Math.min(last - 1, Math.floor(psu)));
      return between(table[i] ?? Number.NaN, table[i + 1] ?? Number.NaN, psu - i);
    },
    to: (shown) => {
      const above = table.findIndex((value) => value >= shown);
      const i = Math.max(0, (above < 0 ? last : above) - 1);
      const low = table[i] ?? Number.NaN;
      const high = table[i + 1] ?? Number.NaN;
      return i + (shown - low) / (high - low);
    },
  };
}

/** How a keeper with such units reads a measure. */
export function measure(kind: Measure, units: Units): Shown {
  const celsius = units.temperature === 'CELSIUS';
  switch (kind) {
    case 'temperature':
      return celsius
        ? times('°C', 1, 1)
        : {
            label: '°F',
            digits: 1,
            from: (value) => value * FAHRENHEIT + 32,
            to: (shown) => (shown - 32) / FAHRENHEIT,
          };
    case 'warmth':
      return celsius ? times('°C', 1, 1) : times('°F', 1, 1 / FAHRENHEIT);
    case 'salinity': {
      const { label, digits } = RAW_UNIT[units.salinity];
      return units.salinity === 'PSU'
        ? times(label, digits, 1)
        : onScale(salinity[units.salinity], label, digits);
    }
    default:
      return (units.volume === 'LITRE' ? METRIC : US)[kind];
  }
}

/** In the keeper's unit, with it. */
export function show(value: number, kind: Measure, units: Units): string {
  const { from, digits, label } = measure(kind, units);
  return `${plain(from(value), digits)} ${label}`;
}

/** The same apart, for a figure with its unit behind. */
export function shown(value: number, kind: Measure, units: Units): { value: string; unit: string } {
  const { from, digits, label } = measure(kind, units);
  return { value: from(value).toFixed(digits), unit: label };
}

/** Digits that count of what stands in a form. */
const FINE = 6;

/** As it stands in a form: finer than it is shown, so that saving it again moves nothing. */
export const typed = (value: number | undefined, kind: Measure, units: Units): string =>
  value === undefined ? '' : String(Number(measure(kind, units).from(value).toPrecision(FINE)));

/** What was typed, in the server's unit; undefined when it is no number. */
export function readAs(text: string, kind: Measure, units: Units): number | undefined {
  const value = readNumber(text);
  return value === null ? undefined : measure(kind, units).to(value);
}
