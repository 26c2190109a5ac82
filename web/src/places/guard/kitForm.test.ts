import { expect, test } from 'vitest';
import type { KitItem, Units } from '../../api/types';
import { inFields, kitSchema, numbersOf, toDescription } from './kitForm';

const METRIC = { temperature: 'CELSIUS', volume: 'LITRE' } as unknown as Units;

const pump: KitItem = {
  id: 'one',
  asOf: '2026-11-12',
  version: 3,
  watts: 4,
  startsItself: true,
  runTime: { early: 2, likely: 3, late: 4, tested: true },
  description: {
    name: 'desk pump',
    place: 'desk',
    who: 'Mira',
    gives: 'AIR',
    airLPerH: 180,
    bubbleMm: 1.5,
    loadW: 4,
    energy: 'LITHIUM_BATTERY',
    wattHours: 500,
    idleW: 6,
    usableShare: 0.9,
    startsItself: true,
    canSwitchOff: true,
    testedHours: 30,
    testedOn: '2026-10-01',
  },
};

test('a thing that is opened and saved is the same thing', () => {
  const saved = toDescription(inFields(pump, METRIC), pump.description, METRIC);
  expect(saved).toMatchObject({ ...pump.description, directCurrent: false });
  expect(saved.testedHours).toBe(30);
});

test('a run at another load or from another source is forgotten', () => {
  const fields = inFields(pump, METRIC);
  expect(toDescription({ ...fields, loadW: '5' }, pump.description, METRIC).testedHours).toBe(
    undefined,
  );
  expect(toDescription({ ...fields, energy: 'UPS' }, pump.description, METRIC).testedHours).toBe(
    undefined,
  );
});

test('what is not asked is neither judged nor sent', () => {
  const fields = {
    ...inFields(pump, METRIC),
    upsW: 'many',
    movedM2: '2',
    idleW: 'x',
    runs: 'direct' as const,
  };
  expect(kitSchema.safeParse(fields).success).toBe(true);
  const saved = toDescription(fields, undefined, METRIC);
  expect(saved).toMatchObject({ directCurrent: true, wattHours: 500 });
  expect([saved.upsW, saved.movedM2, saved.idleW]).toEqual([undefined, undefined, undefined]);
});

test('what is asked must be a number, with a comma if its keeper likes', () => {
  const wrong = kitSchema.safeParse({ ...inFields(pump, METRIC), wattHours: 'a lot' });
  expect(wrong.error?.issues.map((i) => i.path[0])).toEqual(['wattHours']);
  const comma = { ...inFields(pump, METRIC), yearsOld: '1,5' };
  expect(toDescription(comma, undefined, METRIC).yearsOld).toBe(1.5);
  expect(kitSchema.safeParse({ ...inFields(undefined, METRIC) }).error?.issues[0]?.message).toBe(
    'Enter a name.',
  );
});

test('a generator is asked for its fuel, cells for their number', () => {
  expect(numbersOf({ gives: 'AIR', energy: 'GENERATOR', runs: 'inverter' })).toEqual([
    'airLPerH',
    'depthM',
    'loadW',
    'fuelL',
    'idleLPerH',
    'makerHours',
    'yearsOld',
  ]);
  expect(numbersOf({ gives: 'CIRCULATION', energy: 'DRY_CELLS', runs: 'direct' })).toContain(
    'cells',
  );
  expect(numbersOf({ gives: 'WHOLE_TANK', energy: 'UPS', runs: 'inverter' })).toEqual([
    'movedM2',
    'airLPerH',
    'loadW',
    'surgeW',
    'motorW',
    'upsW',
    'upsMinutes',
    'makerHours',
    'yearsOld',
  ]);
  const cells = { ...inFields(undefined, METRIC), name: 'pump', cells: '4.7' };
  expect(toDescription(cells, undefined, METRIC).cells).toBe(4);
});
