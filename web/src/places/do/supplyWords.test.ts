import { describe, expect, it } from 'vitest';
import type { Supply } from '../../api/types';
import { amountOf, orderOn, shopping, suppliesVerdict, supplyReason, unitsOf } from './supplyWords';

const lime: Supply = {
  id: 'a',
  supply: {
    name: 'lime',
    uses: 'POWDER',
    solute: 'LIMEWATER',
    unit: 'G',
    packageAmount: 500,
    price: 12,
    deliveryDays: 5,
    perUse: 1,
  },
  perDay: { value: 1.6, low: 1.2, high: 2 },
  counted: false,
  left: { value: 120, low: 110, high: 130 },
  daysLeft: { value: 75, low: 55, high: 108 },
  orderBy: '2026-12-20',
  late: false,
  buy: 0,
  perMonth: 1.2,
  entries: [],
};

describe('supplyReason', () => {
  it('says what is left, how fast it goes, and by what', () => {
    expect(supplyReason(lime)).toBe('About 120 g left; 1.2–2.0 g a day, from your dosing.');
    expect(supplyReason({ ...lime, counted: true })).toContain('from your counts');
    expect(supplyReason({ ...lime, left: undefined })).toContain('Not counted yet');
    expect(supplyReason({ ...lime, perDay: { value: 0, low: 0, high: 0 } })).toContain(
      'Nothing in your log uses it',
    );
  });

  it('counts slow things by the month or the year', () => {
    const cells: Supply = {
      ...lime,
      supply: { ...lime.supply, uses: 'CHORE', unit: 'PIECES' },
      perDay: { value: 4 / 365.25, low: 3 / 365.25, high: 5 / 365.25 },
      left: { value: 1, low: 1, high: 1 },
    };
    expect(supplyReason(cells)).toBe(
      'About 1 piece left; 3.0–5.0 pieces a year, from your upkeep.',
    );
  });
});

describe('the list', () => {
  it('says what to order, and when', () => {
    expect(orderOn(lime)).toBe('order by 20 Dec 2026');
    expect(orderOn({ ...lime, late: true })).toBe('order now');
    expect(orderOn({ ...lime, orderBy: undefined })).toBe('');
    expect(shopping({ ...lime, buy: 2 }, 'EUR')).toBe('lime: 2 × 500 g, about €24');
    expect(shopping({ ...lime, buy: 1, supply: { ...lime.supply, price: undefined } }, 'EUR')).toBe(
      'lime: 1 × 500 g',
    );
  });

  it('sums it up', () => {
    const stock = {
      currency: 'EUR',
      supplies: [lime],
      ended: [],
      computedDoubt: 0.25,
      countedDoubt: 0.1,
    };
    expect(suppliesVerdict(stock)).toBe('Nothing to order before 20 Dec 2026');
    expect(suppliesVerdict({ ...stock, supplies: [{ ...lime, late: true }] })).toBe(
      'Order one thing',
    );
    expect(suppliesVerdict({ ...stock, supplies: [] })).toBe('No supplies yet');
  });

  it('offers only units in which that is counted', () => {
    expect(unitsOf('POWDER')).toEqual(['G', 'KG', 'OZ', 'LB']);
    expect(unitsOf('TESTS')).toEqual(['PIECES']);
    expect(amountOf(1.25, 'LB')).toBe('1.3 lb');
  });
});
