import { expect, test } from 'vitest';
import type { Unnoted } from '../../api/types';
import { asWell, shownSize, suggestedTitle, unitOf, unnotedHeadline } from './unnotedWords';

const found = (over: Partial<Unnoted> = {}): Unnoted => ({
  from: '2026-09-10',
  overDays: 4,
  cause: 'SKIMMER',
  size: { value: 0.2, low: 0.16, high: 0.25 },
  evidence: 600,
  asWell: [],
  trough: -0.06,
  peak: -0.03,
  days: [],
  ...over,
});

test('what a skimmer lost is said as a share of what it carried', () => {
  expect(unnotedHeadline(found())).toBe(
    'Around 10 Sept 2026 skimmer gas exchange has probably fallen to 16–25 % of before over four days.',
  );
  expect(suggestedTitle(found())).toBe('weaker skimmer');
  expect(shownSize(found(), 0.5)).toBe(50);
  expect(unitOf(found())).toContain('% of before');
});

test('what became more has risen', () => {
  const more = found({
    cause: 'RESPIRATION',
    overDays: 1,
    size: { value: 1.5, low: 1.3, high: 1.7 },
  });
  expect(unnotedHeadline(more)).toBe(
    'Around 10 Sept 2026 respiration has probably risen to 130–170 % of before.',
  );
  expect(suggestedTitle(more)).toBe('more respiration');
});

test('a level and a clock are said in their own units, without a sign', () => {
  const level = found({
    cause: 'LEVEL',
    overDays: 1,
    size: { value: -0.1, low: -0.13, high: -0.07 },
  });
  expect(unnotedHeadline(level)).toBe(
    'Around 10 Sept 2026 pH at all hours has probably fallen by 0.07 to 0.13.',
  );
  expect(shownSize(level, -0.1)).toBe(-0.1);
  const lamps = found({
    cause: 'LAMPS',
    overDays: 1,
    size: { value: 1, low: 0.9, high: 1.2 },
  });
  expect(unnotedHeadline(lamps)).toBe(
    'Around 10 Sept 2026 the lamps have probably moved 0.9 to 1.2 h later.',
  );
});

test('what would explain it as well is named, and nothing where nothing would', () => {
  expect(asWell(found())).toBe('');
  expect(asWell(found({ asWell: ['SURFACES', 'LEVEL'] }))).toBe(
    'A change of surface gas exchange, or of pH at all hours would explain this almost as well.',
  );
});
