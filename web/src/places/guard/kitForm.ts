import type { KitDescription, KitItem, Units } from '../../api/types';
import { words } from '../../lib/checks';
import { readAs, typed, type Measure } from '../../lib/measure';
import { readNumber } from '../../lib/number';
import { z } from '../../lib/zod';

export type Energy = KitDescription['energy'];

interface Asked {
  key:
    | 'cells'
    | 'upsW'
    | 'upsMinutes'
    | 'wattHours'
    | 'idleW'
    | 'inverterEfficiency'
    | 'usableShare'
    | 'fuelL'
    | 'idleLPerH'
    | 'ratedW'
    | 'surgeW'
    | 'motorW';
  label: string;
  unit?: string;
  hint?: string;
}

/** @param usable share of its label that is assumed to be taken without harm */
const battery = (usable: string): readonly Asked[] => [
  { key: 'wattHours', label: 'Capacity on the label', unit: 'Wh', hint: 'Ah × V.' },
  { key: 'idleW', label: 'The inverter’s own power', unit: 'W', hint: 'Empty: 8 W (assumed).' },
  { key: 'inverterEfficiency', label: 'Efficiency, 0 to 1', hint: 'Empty: 0.85 (assumed).' },
  {
    key: 'usableShare',
    label: 'Usable share of the label, 0–1',
    hint: `Empty: ${usable} (assumed).`,
  },
];

export const ASKED: Record<Energy, readonly Asked[]> = {
  DRY_CELLS: [{ key: 'cells', label: 'Number of cells' }],
  UPS: [
    { key: 'upsW', label: 'Load on the label', unit: 'W' },
    { key: 'upsMinutes', label: 'for', unit: 'min' },
  ],
  LEAD_BATTERY: battery('0.5'),
  LITHIUM_BATTERY: battery('0.85'),
  GENERATOR: [
    { key: 'fuelL', label: 'Fuel, in the tank and safe cans' },
    {
      key: 'idleLPerH',
      label: 'Fuel use without load',
      unit: 'L/h',
      hint: 'Empty: 0.4 (assumed).',
    },
  ],
};

/** What carries a tank's own pumps must be known to carry them, and to start them. */
export const CARRYING: readonly Asked[] = [
  { key: 'ratedW', label: 'Rated power', unit: 'W' },
  { key: 'surgeW', label: 'Peak power', unit: 'W', hint: 'Empty: no more than rated.' },
  { key: 'motorW', label: 'Largest pump', unit: 'W', hint: 'Motors take 3 times that to start.' },
];

const INVERTER = new Set<Asked['key']>(['idleW', 'inverterEfficiency']);
export const SEVERAL = 'several';

/** Asked in the keeper's own units. */
export const MEASURED: Record<string, Measure> = {
  fuelL: 'volume',
  depthM: 'length',
  movedM2: 'area',
};

export type Words =
  Asked['key'] | 'airLPerH' | 'depthM' | 'movedM2' | 'loadW' | 'makerHours' | 'yearsOld';

const GIVEN: Record<KitDescription['gives'], readonly Words[]> = {
  AIR: ['airLPerH', 'depthM'],
  CIRCULATION: ['movedM2'],
  WHOLE_TANK: ['movedM2', 'airLPerH'],
};

/** The numbers that are asked for a thing of this kind; what is not asked is not judged. */
export function numbersOf(v: {
  gives: KitDescription['gives'];
  energy: Energy;
  runs: string;
}): Words[] {
  const direct = v.runs === 'direct' && isBattery(v.energy);
  const driven = ASKED[v.energy].map((a) => a.key).filter((key) => !(direct && INVERTER.has(key)));
  const given = GIVEN[v.gives];
  const carrying = CARRYING.map((a) => a.key).filter(
    (key) => v.gives === 'WHOLE_TANK' && !(v.energy === 'UPS' && key === 'ratedW'),
  );
  return [...given, 'loadW', ...carrying, ...driven, 'makerHours', 'yearsOld'];
}

export const isBattery = (energy: Energy) =>
  energy === 'LEAD_BATTERY' || energy === 'LITHIUM_BATTERY';

export const kitSchema = z
  .object({
    name: words('Enter a name.', 80),
    place: z.string().max(120, 'At most 120 characters.'),
    who: z.string().max(120, 'At most 120 characters.'),
    gives: z.enum(['AIR', 'CIRCULATION', 'WHOLE_TANK']),
    energy: z.enum(['DRY_CELLS', 'UPS', 'LEAD_BATTERY', 'LITHIUM_BATTERY', 'GENERATOR']),
    motion: z.enum(['STILL', 'RIPPLED', 'ROLLING', 'BROKEN']),
    cellSize: z.enum(['D', 'C', 'AA']),
    runs: z.enum(['inverter', 'direct']),
    starts: z.enum(['HAND', 'ITSELF', 'TO_THE_END']),
    expires: z.string(),
    keptFor: z.string(),
    over: z.array(z.string()),
    airLPerH: z.string(),
    depthM: z.string(),
    movedM2: z.string(),
    loadW: z.string(),
    makerHours: z.string(),
    cells: z.string(),
    upsW: z.string(),
    upsMinutes: z.string(),
    wattHours: z.string(),
    idleW: z.string(),
    inverterEfficiency: z.string(),
    usableShare: z.string(),
    fuelL: z.string(),
    idleLPerH: z.string(),
    ratedW: z.string(),
    surgeW: z.string(),
    motorW: z.string(),
    yearsOld: z.string(),
  })
  .superRefine((v, found) => {
    for (const key of numbersOf(v))
      if (v[key].trim() !== '' && readNumber(v[key]) === null)
        found.addIssue({ code: 'custom', path: [key], message: 'Enter a number.' });
  });
export type KitWords = z.infer<typeof kitSchema>;

/** A thing as it stands in the fields; a new one has nothing in most of them. */
export function inFields(item: KitItem | undefined, units: Units): KitWords {
  const d = item?.description;
  const number = (key: Words) => {
    const value = d?.[key];
    if (value === undefined) return '';
    const kind = MEASURED[key];
    return kind ? typed(value, kind, units) : String(value);
  };
  const itself = item?.startsItself ?? false;
  return {
    name: d?.name ?? '',
    place: d?.place ?? '',
    who: d?.who ?? '',
    gives: d?.gives ?? 'AIR',
    energy: d?.energy ?? 'DRY_CELLS',
    motion: d?.motion ?? 'RIPPLED',
    cellSize: d?.cellSize ?? 'D',
    runs: d?.directCurrent ? 'direct' : 'inverter',
    starts: !itself ? 'HAND' : d?.canSwitchOff ? 'ITSELF' : 'TO_THE_END',
    expires: d?.expires ?? '',
    keptFor: d?.over && d.over.length > 0 ? SEVERAL : (d?.tankId ?? ''),
    over: d?.over ?? [],
    airLPerH: number('airLPerH'),
    depthM: number('depthM'),
    movedM2: number('movedM2'),
    loadW: number('loadW'),
    makerHours: number('makerHours'),
    cells: number('cells'),
    upsW: number('upsW'),
    upsMinutes: number('upsMinutes'),
    wattHours: number('wattHours'),
    idleW: number('idleW'),
    inverterEfficiency: number('inverterEfficiency'),
    usableShare: number('usableShare'),
    fuelL: number('fuelL'),
    idleLPerH: number('idleLPerH'),
    ratedW: number('ratedW'),
    surgeW: number('surgeW'),
    motorW: number('motorW'),
    yearsOld: number('yearsOld'),
  };
}

export function toDescription(
  v: KitWords,
  before: KitDescription | undefined,
  units: Units,
): KitDescription {
  const asked = new Set(numbersOf(v));
  const n = (key: Words) => {
    if (!asked.has(key)) return undefined;
    const kind = MEASURED[key];
    return kind ? readAs(v[key], kind, units) : (readNumber(v[key]) ?? undefined);
  };
  const cells = n('cells');
  return {
    name: v.name,
    place: v.place.trim(),
    who: v.who.trim(),
    expires: v.expires === '' ? undefined : v.expires,
    tankId: v.keptFor === '' || v.keptFor === SEVERAL ? undefined : v.keptFor,
    over: v.keptFor === SEVERAL ? v.over : undefined,
    gives: v.gives,
    airLPerH: n('airLPerH'),
    bubbleMm: before?.bubbleMm,
    depthM: n('depthM'),
    movedM2: n('movedM2'),
    motion: v.gives === 'WHOLE_TANK' ? v.motion : undefined,
    loadW: n('loadW'),
    makerHours: n('makerHours'),
    directCurrent: isBattery(v.energy) ? v.runs === 'direct' : undefined,
    startsItself: v.starts !== 'HAND',
    canSwitchOff: v.starts === 'ITSELF',
    energy: v.energy,
    cellSize: v.energy === 'DRY_CELLS' ? v.cellSize : undefined,
    cells: cells === undefined ? undefined : Math.trunc(cells),
    upsW: n('upsW'),
    upsMinutes: n('upsMinutes'),
    wattHours: n('wattHours'),
    idleW: n('idleW'),
    inverterEfficiency: n('inverterEfficiency'),
    usableShare: n('usableShare'),
    fuelL: n('fuelL'),
    idleLPerH: n('idleLPerH'),
    ratedW: n('ratedW'),
    surgeW: n('surgeW'),
    motorW: n('motorW'),
    yearsOld: n('yearsOld'),
    // A run at another load or from another source says nothing about this one.
    ...(before && before.energy === v.energy && before.loadW === n('loadW')
      ? { testedHours: before.testedHours, testedOn: before.testedOn }
      : {}),
  };
}

/** Where the core names a number differently. */
export const ASKED_AS: Record<string, Words> = {
  backupAirLPerH: 'airLPerH',
  stoneDepthM: 'depthM',
  upsRatedW: 'upsW',
  upsRatedMinutes: 'upsMinutes',
  batteryWh: 'wattHours',
  cellYearsOld: 'yearsOld',
  upsYearsOld: 'yearsOld',
  batteryYearsOld: 'yearsOld',
};
