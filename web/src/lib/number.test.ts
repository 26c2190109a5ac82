import { describe, expect, it } from 'vitest';
import { plain, readNumber, signed, toTen } from './number';

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
  expect(toTen(1656.4)).toBe('1660');
});
