import type { NewSupply, Supplies, Supply } from '../../api/types';
import { money } from '../../lib/money';
import { plain, range } from '../../lib/number';
import { plainDay } from '../../lib/time';
import { SOLUTES } from './doseWords';

export type SupplyUnit = NewSupply['unit'];

export const UNITS: Record<SupplyUnit, string> = {
  G: 'g',
  KG: 'kg',
  OZ: 'oz',
  LB: 'lb',
  ML: 'mL',
  L: 'L',
  US_FL_OZ: 'US fl oz',
  PIECES: 'pieces',
};

const MASS: readonly SupplyUnit[] = ['G', 'KG', 'OZ', 'LB'];
const VOLUME: readonly SupplyUnit[] = ['ML', 'L', 'US_FL_OZ'];
const COUNT: readonly SupplyUnit[] = ['PIECES'];

/** Units of the same kind. */
export const alike = (unit: SupplyUnit) =>
  [MASS, VOLUME, COUNT].find((kind) => kind.includes(unit)) ?? COUNT;

/** Units in which what uses it is counted. */
export const unitsOf = (uses: NewSupply['uses']): readonly SupplyUnit[] =>
  uses === 'POWDER' || uses === 'MEDIA'
    ? MASS
    : uses === 'TESTS' || uses === 'CHORE'
      ? COUNT
      : [...MASS, ...VOLUME, ...COUNT];

export const amountOf = (value: number, unit: SupplyUnit) =>
  `${plain(value, value < 10 ? 1 : 0)} ${unit === 'PIECES' && value === 1 ? 'piece' : UNITS[unit]}`;

const DAYS_A_WEEK = 7;
const DAYS_A_MONTH = 30.44;
const DAYS_A_YEAR = 365.25;

/** So much in the shortest stretch of time in which at least one goes. */
function pace(perDay: Supply['perDay'], unit: SupplyUnit): string {
  const name = UNITS[unit];
  const [days, stretch] =
    perDay.value >= 1
      ? [1, 'a day']
      : perDay.value * DAYS_A_WEEK >= 1
        ? [DAYS_A_WEEK, 'a week']
        : perDay.value * DAYS_A_MONTH >= 1
          ? [DAYS_A_MONTH, 'a month']
          : [DAYS_A_YEAR, 'a year'];
  const shown = {
    value: perDay.value * days,
    low: perDay.low * days,
    high: perDay.high * days,
  };
  return `${range(shown, shown.value < 20 ? 1 : 0)} ${name} ${stretch}`;
}

const BY: Record<NewSupply['uses'], string> = {
  POWDER: 'from your dosing',
  MEDIA: 'from your fills',
  TESTS: 'from your tests of the last four weeks',
  CHORE: 'from your upkeep',
  OWN: 'as you entered',
};

/** What is there, and how fast it goes. */
export function supplyReason(s: Supply): string {
  const { unit, uses } = s.supply;
  const held = s.left ? `About ${amountOf(s.left.value, unit)} left` : 'Not counted yet';
  if (s.perDay.value <= 0) return `${held}. Nothing in your log uses it.`;
  return `${held}; ${pace(s.perDay, unit)}, ${s.counted ? 'from your counts' : BY[uses]}.`;
}

/** When it is ordered. */
export function orderOn(s: Supply): string {
  if (!s.orderBy) return '';
  return s.late ? 'order now' : `order by ${plainDay(s.orderBy)}`;
}

/** In one sentence. */
export function suppliesVerdict({ supplies }: Supplies): string {
  if (supplies.length === 0) return 'No supplies yet';
  const late = supplies.filter((s) => s.late).length;
  if (late > 0) return late === 1 ? 'Order one thing' : `Order ${late} things`;
  const next = supplies.find((s) => s.orderBy);
  return next?.orderBy
    ? `Nothing to order before ${plainDay(next.orderBy)}`
    : 'Count what you have to see how long it lasts';
}

/** A line of the shopping list. */
export function shopping(s: Supply, currency: string): string {
  const { unit, packageAmount, price } = s.supply;
  const each = amountOf(packageAmount, unit);
  const cost = price === undefined ? '' : `, about ${money(s.buy * price, currency)}`;
  return `${s.supply.name}: ${s.buy} × ${each}${cost}`;
}

export const USES: Record<NewSupply['uses'], string> = {
  POWDER: 'a powder for dosing',
  MEDIA: 'scrubber media',
  TESTS: 'a test kit',
  CHORE: 'something used in upkeep',
  OWN: 'something else, used daily',
};

export const POWDERS = (Object.keys(SOLUTES) as (keyof typeof SOLUTES)[])
  .filter((s) => s !== 'POTASSIUM_CHLORIDE')
  .map((value) => ({ value, label: SOLUTES[value] }));
