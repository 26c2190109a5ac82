import { expect, it } from 'vitest';
import { did } from './score';

it('says how far off and how many inside', () => {
  expect(did({ n: 20, inside: 18, off: 0.021, tooHigh: 0.001 }, 'trough')).toBe(
    'The last 20 day-ahead troughs were off by 0.02. 18 of 20 were inside the range.',
  );
  expect(did({ n: 1, inside: 0, off: 0.1, tooHigh: 0.1 }, 'peak')).toBe(
    'The last day-ahead peak was off by 0.10. 0 of 1 were inside the range.',
  );
  expect(did(undefined, 'trough')).toBeNull();
});

it('names a bias only where there is one', () => {
  expect(did({ n: 12, inside: 6, off: 0.05, tooHigh: -0.045 }, 'trough')).toContain(
    'mostly too low',
  );
  expect(did({ n: 12, inside: 6, off: 0.05, tooHigh: 0.02 }, 'trough')).not.toContain('mostly');
  expect(did({ n: 3, inside: 1, off: 0.05, tooHigh: 0.05 }, 'trough')).not.toContain('mostly');
});
