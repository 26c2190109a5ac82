import { expect, it } from 'vitest';
import { money } from './money';

it('is a round sum with the sign of the home’s money', () => {
  expect(money(34.6, 'EUR')).toBe('€35');
  expect(money(1234.4, 'USD')).toBe('$1,234');
  expect(money(0.4, 'GBP')).toBe('£0');
  expect(money(380, 'SEK')).toMatch(/SEK\s380/);
});
