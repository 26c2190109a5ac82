import { expect, test } from 'vitest';
import type { Suspect, SuspectFamily, Suspects } from '../../api/types';
import {
  alwaysLow,
  around,
  headline,
  meaning,
  nothingWrong,
  parted,
  sinceWords,
  steadySentence,
  weightiest,
  word,
} from './suspectWords';

const suspect = (over: Partial<Suspect> = {}): Suspect => ({
  suspect: 'SKIMMER',
  title: 'The skimmer is clogged, worn or overflowing',
  share: 0.7,
  needs: '',
  grounds: [],
  ...over,
});

const family = (over: Partial<SuspectFamily> = {}): SuspectFamily => ({
  family: 'SKIMMER_AIR',
  label: 'the skimmer and its air',
  share: 0.8,
  suspects: [suspect()],
  ...over,
});

const all = (families: SuspectFamily[], steady?: Suspects['steady']): Suspects => ({
  earliest: '2026-07-30',
  latest: '2026-11-25',
  daysCompared: true,
  steady,
  families,
  next: [],
  done: [],
});

test('one suspect is named where it stands out, else its family, else two families', () => {
  expect(headline(all([family()]))).toBe(
    'The skimmer is clogged, worn or overflowing: the best fit.',
  );
  expect(headline(all([family({ suspects: [suspect({ share: 0.4 })] })]))).toBe(
    'The cause is most likely the skimmer and its air.',
  );
  const room = family({ family: 'ROOM', label: 'the room’s air', share: 0.3 });
  expect(headline(all([family({ share: 0.35 }), room]))).toBe(
    'We can’t tell yet: the skimmer and its air, or the room’s air.',
  );
  expect(headline(all([family({ family: 'NONE', share: 0.35 })]))).toContain(
    'Nothing looks broken',
  );
});

test('whoever keeps a tank steady and holds it hears when to stop', () => {
  const steady = { stance: 'STEADY' as const, nights: 7, held: 7, line: 7.8 };
  expect(steadySentence(all([family()], steady))).toBe(
    'You keep this tank steady, and on 7 of 7 days of the last week its low was above 7.80. Nothing to change.',
  );
  expect(steadySentence(all([family()], { ...steady, held: 5 }))).not.toContain('nothing to chase');
  expect(steadySentence(all([family()], { ...steady, stance: 'LIFT', line: 8 }))).toContain(
    'your goal. Nothing to change',
  );
  expect(steadySentence(all([family()]))).toBe('');
});

test('where no night was low, a suspect that is only possible is no answer', () => {
  const steady = { stance: 'STEADY' as const, nights: 7, held: 7, line: 7.8 };
  const possible = family({ share: 0.6, suspects: [suspect({ share: 0.45 })] });
  const none = family({ family: 'NONE', label: 'nothing is wrong', share: 0.3, suspects: [] });
  const held = all([possible, none], steady);
  expect(headline(held)).toContain('Nothing looks broken');
  expect(nothingWrong(held)).toBe('');
  expect(headline(all([possible, none], { ...steady, held: 6 }))).toContain('most likely');
  expect(headline(all([possible, none], { ...steady, nights: 3, held: 3 }))).toContain(
    'most likely',
  );
  expect(headline({ ...held, since: '2026-11-01' })).toContain('most likely');
  expect(headline(all([family(), none], steady))).toContain('the best fit');
});

test('shares are said in words, and the least likely suspects are folded away', () => {
  expect([0.9, 0.3, 0.1, 0.01].map(word)).toEqual([
    'likely',
    'possible',
    'less likely',
    'unlikely',
  ]);
  const many = [0.1, 0.3, 0.02, 0.01, 0.05, 0.04, 0.2].map((share) => suspect({ share }));
  const { shown, folded } = parted([
    family({ suspects: many.slice(0, 3) }),
    family({ family: 'ROOM', suspects: many.slice(3) }),
  ]);
  expect(shown.map((s) => s.share)).toEqual([0.3, 0.2, 0.1, 0.05, 0.04, 0.02]);
  expect(folded.map((s) => s.share)).toEqual([0.01]);
  expect(sinceWords(suspect({ since: '2026-11-14' }))).toBe('since about 14 Nov');
  expect(sinceWords(suspect())).toBe('');
  expect(
    meaning({
      answer: 1,
      words: 'few',
      probability: 0.2,
      then: 'The air stone is clogged',
      share: 0.6,
    }),
  ).toBe('then likely: the air stone is clogged');
});

test('what weighs most is said on the side to which all of it leans', () => {
  const ground = (weight: number, words: string) => ({ weight, words });
  const leaning = [ground(-3, 'against'), ground(2, 'for'), ground(2.5, 'more for')];
  expect(weightiest(suspect({ grounds: leaning }))).toBe('more for');
  expect(weightiest(suspect({ grounds: [...leaning, ground(-4, 'most against')] }))).toBe(
    'most against',
  );
  expect(weightiest(suspect())).toBeUndefined();
});

test('that nothing is wrong is said once', () => {
  const none = family({ family: 'NONE', label: 'nothing is wrong', share: 0.3, suspects: [] });
  expect(nothingWrong(all([none, family()]))).toBe('');
  expect(nothingWrong(all([family(), none]))).toBe('Nothing is wrong: possible.');
  expect(parted([none, family()]).shown).toEqual(family().suspects);
});

test('what is low as it always was is no fault, but a goal', () => {
  const lift = { stance: 'LIFT' as const, nights: 7, held: 2, line: 8 };
  const none = family({ family: 'NONE' });
  expect(alwaysLow(all([none], lift))).toBe(true);
  expect(alwaysLow(all([none], { ...lift, held: 7 }))).toBe(false);
  expect(alwaysLow(all([family()], lift))).toBe(false);
  expect(alwaysLow(all([none]))).toBe(false);
});

test('the days drawn reach back before the day since when it is low', () => {
  const days = Array.from({ length: 100 }, (_, i) => ({
    day: new Date(Date.UTC(2026, 0, 1 + i)).toISOString().slice(0, 10),
  }));
  expect(around(days)).toHaveLength(28);
  expect(around(days, '2026-04-05')).toHaveLength(28);
  expect(around(days, '2026-02-20')[0]?.day).toBe('2026-02-06');
  expect(around(days, '2026-01-03')).toHaveLength(100);
  expect(around(days.slice(0, 5), '2026-01-03')).toHaveLength(5);
});
