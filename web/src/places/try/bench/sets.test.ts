import { expect, it } from 'vitest';
import { inWords, isSet, means } from './sets';

it('says what a set does to the source', () => {
  expect(means({})).toBe('changes nothing');
  expect(means({ line: { lengthM: 6, boreMm: 12.7 } })).toBe('removes the source');
  expect(means({ limewaterMlPerDay: 60, surfaceTimes: 1.5 })).toBe('carries more out, offsets');
});

it('names a set by its remedies', () => {
  expect(inWords({})).toBe('as it is');
  expect(inWords({ line: { lengthM: 6, boreMm: 4 }, freshShare: 0.05, mediaPass: 0.1 })).toBe(
    '6 m of 4 mm hose, media, 95 % recirculated',
  );
});

it('takes only sets from an address', () => {
  expect(isSet({ name: 'a', put: {} })).toBe(true);
  for (const wrong of [null, 'a', { name: 3, put: {} }, { name: 'a' }, { name: 'a', put: null }])
    expect(isSet(wrong)).toBe(false);
});
