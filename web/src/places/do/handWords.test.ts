import { describe, expect, it } from 'vitest';
import type { Creep, DoseByHand, Parted, Units } from '../../api/types';
import { additionWords, changeWords, evaporates, keepsUp, putIn } from './handWords';

const units: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  volume: 'LITRE',
  salinity: 'PSU',
};

const sum: Parted = {
  meqPerL: 1 / 2.8,
  calciumMgPerL: 0,
  phBefore: 8.2,
  phMixed: 8.34,
  because: [],
  days: 1,
  portionsPerDay: 1,
};

describe('additionWords', () => {
  it('says what it lifts, and nothing else where nothing speaks against it', () => {
    expect(additionWords(sum, { what: 'SODA_ASH', grams: 8 }, units)).toEqual([
      'This raises alkalinity by 1.00 dKH, and pH from 8.20 to 8.34 once it is mixed in, at the day’s highest.',
    ]);
  });

  it('parts what is too much', () => {
    const words = additionWords(
      { ...sum, because: ['Too much.'], days: 2, portionsPerDay: 3 },
      { what: 'SODA_ASH', grams: 60 },
      units,
    );
    expect(words.at(-2)).toBe('Too much.');
    expect(words.at(-1)).toBe('Dose 10 g at a time, 3 times a day, 8 h apart, over 2 days.');
    expect(additionWords({ ...sum, days: 4 }, { what: 'LIMEWATER', ml: 800 }, units).at(-1)).toBe(
      'Dose 200 mL at a time, once a day, over 4 days.',
    );
  });

  it('says calcium alone without a pH', () => {
    expect(
      additionWords(
        { ...sum, meqPerL: 0, calciumMgPerL: 12.34 },
        { what: 'CALCIUM_CHLORIDE', grams: 20 },
        units,
      ),
    ).toEqual(['This raises calcium by 12.3 mg/L.']);
  });
});

describe('changeWords', () => {
  it('says from what to what, and the most that may be', () => {
    const change = {
      share: 0.5,
      meqBefore: 7 / 2.80428,
      meqAfter: 9 / 2.80428,
      because: ['It would move alkalinity by 2.0 dKH.'],
      mostLitres: 105,
    };
    expect(changeWords(change, units)).toEqual([
      '50 % of the water: alkalinity goes from 7.00 to 9.00 dKH.',
      'It would move alkalinity by 2.0 dKH.',
      'That is 105 L at a time.',
    ]);
    expect(
      changeWords({ ...change, because: [], calciumBefore: 380, calciumAfter: 400 }, units),
    ).toEqual([
      '50 % of the water: alkalinity goes from 7.00 to 9.00 dKH, calcium from 380 to 400 mg/L.',
    ]);
  });
});

describe('putIn', () => {
  const dose: DoseByHand = {
    id: 'a',
    put: 'ADDITION',
    at: '2026-11-01T10:00:00Z',
    what: 'SODA_ASH',
    grams: 30,
    share: 0.37,
    meqPerL: 0.25,
    calciumMgPerL: 0,
    note: '',
  };
  it('says how much of what, and how pure it was', () => {
    expect(putIn(dose, units)).toBe('30 g of soda ash (37 % pure): alkalinity by 0.70 dKH');
    expect(
      putIn({ ...dose, grams: undefined, ml: 500, what: 'LIMEWATER', calciumMgPerL: 2 }, units),
    ).toBe('500 mL of limewater: alkalinity by 0.70 dKH and calcium by 2.0 mg/L');
    expect(
      putIn(
        { ...dose, put: 'WATER', what: undefined, litres: 40, share: 0.1, meqPerL: 8 / 2.80428 },
        units,
      ),
    ).toBe('40 L of new water (10 %) at 8.0 dKH');
  });
});

describe('evaporates', () => {
  it('says what is measured, or how it would be', () => {
    expect(evaporates({ litresPerDay: 1.5, times: 4 }, units)).toBe(
      'About 1.5 L evaporate a day, from 4 top-offs in four weeks, limewater included.',
    );
    expect(evaporates(undefined, units)).toContain('After three top-offs over five days');
  });
});

describe('keepsUp', () => {
  const creep: Creep = {
    potassiumMgPerL: 2,
    potassiumNow: 400,
    saltMgPerL: 0,
    daysToMostPotassium: 50,
    weeklyForPotassium: 0.14,
    weeklyForSalt: 0,
  };
  it('compares what was changed with what is asked', () => {
    expect(keepsUp(creep, 0.15)).toBe(
      'You changed 15.0 % of the water a week in the last four weeks: enough.',
    );
    expect(keepsUp(creep, 0.05)).toContain('too little');
    expect(keepsUp({ ...creep, weeklyForPotassium: 0 }, 0.05)).toBeUndefined();
  });
});
