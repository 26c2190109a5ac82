import { describe, expect, it } from 'vitest';
import { plain, range, readNumber, signed, signedRange, toTen, tickDigits } from './number';

describe('readNumber', () => {
  it.each([
    ['8.1', 8.1],
    ['8,1', 8.1],
    [' 420 ', 420],
    ['−3', -3],
    ['.5', 0.5],
    ['5.', 5],
  ])('reads %s', (text, value) => expect(readNumber(text)).toBe(value));

  it.each(['', 'eight', '8.1.2', '1e9', '0x10', 'NaN', '8 1', '--1'])('refuses %s', (text) =>
    expect(readNumber(text)).toBeNull(),
  );
});

it('shows numbers as people write them', () => {
  expect(plain(35)).toBe('35');
  expect(plain(0.1 + 0.2)).toBe('0.3');
  expect(signed(-0.0123, 3)).toBe('−0.012');
  expect(signed(468.3)).toBe('+468');
  expect(signed(-0.002, 2)).toBe('0.00');
  expect(toTen(1656.4)).toBe('1660');
});

describe('bands', () => {
  it('are a range, or a value where both ends would read the same', () => {
    expect(range({ value: 7.94, low: 7.9, high: 8.01 }, 2)).toBe('7.90–8.01');
    expect(range({ value: 7.94, low: 7.939, high: 7.941 }, 2)).toBe('7.94');
    expect(range({ value: 3.2, low: 3, high: 4 }, 0)).toBe('3–4');
  });

  it('of a change carry their signs', () => {
    expect(signedRange({ value: 0.1, low: 0.08, high: 0.12 })).toBe('+0.08 to +0.12');
    expect(signedRange({ value: -0.03, low: -0.031, high: -0.029 })).toBe('−0.03');
    expect(signedRange({ value: 0, low: -0.02, high: 0.02 })).toBe('−0.02 to +0.02');
  });
});

it('writes ticks so that no two read the same', () => {
  expect(tickDigits([7.8, 7.9, 8.0])).toBe(1);
  expect(tickDigits([7.75, 7.8, 7.85])).toBe(2);
  expect(tickDigits([0.1 + 0.2, 0.4])).toBe(1);
  expect(tickDigits([5, 6], 0)).toBe(0);
});
