import { expect, test } from 'vitest';
import type { AbsenceView } from '../../api/types';
import { absenceTitle, clearedAt, hours, phSentences, roomSentence } from './absenceWords';

const absence = (over: Partial<AbsenceView> = {}): AbsenceView => ({
  eventId: 'e',
  title: 'away',
  left: '2026-10-08T08:00:00Z',
  cameBack: '2026-10-17T17:00:00Z',
  room: [{ hours: 0, by: 480 }],
  clearing: {
    excessPpm: 482,
    airChangesPerH: { value: 0.5, low: 0.42, high: 0.61 },
    halfH: { value: 1.4, low: 1.1, high: 1.7 },
    ninetyH: { value: 4.6, low: 3.8, high: 5.5 },
  },
  ...over,
});

const ph = {
  left: '2026-10-08T08:00:00Z',
  cameBack: '2026-10-17T17:00:00Z',
  course: [],
  cameTo: { mean: 0.16, least: 0.09, most: 0.24 },
  away: {
    half: { value: 6.1, low: 5.2, high: 7.4 },
    ninety: { value: 14, low: 12, high: 17 },
  },
  back: { half: { value: 2, low: 1.9, high: 2.1 } },
};

test('an absence says when, how far and how fast', () => {
  expect(absenceTitle(absence(), 'Europe/Amsterdam')).toBe('Left Thu 8 Oct, 10:00, for 9.4 days');
  expect(absenceTitle(absence({ cameBack: undefined }), 'Europe/Amsterdam')).toContain(
    'still away',
  );
  expect(phSentences(ph)).toEqual([
    'pH settled +0.16 from usual, between +0.09 and +0.24 depending on the hour.',
    'Half of that was reached after 5–7 h, nine tenths after 12–17 h.',
    'After they returned, half was gone after 2 h, nine tenths not within that time.',
  ]);
  expect(roomSentence(absence())).toBe(
    'The room was 480 ppm above outdoors. Half was gone after 1–1.5 h, nine tenths after 4–6 h: 0.4–0.6 air changes an hour.',
  );
});

test('what is not known is said', () => {
  expect(phSentences(undefined)[0]).toContain('Not enough');
  expect(phSentences({ ...ph, cameTo: undefined })[0]).toContain('less than two days');
  expect(phSentences({ ...ph, away: undefined })[1]).toContain('We can’t tell how fast');
  expect(roomSentence(absence({ room: [] }))).toContain('Room CO2 was not measured');
  expect(roomSentence(absence({ clearing: undefined }))).toContain(
    'can’t tell how fast the room clears',
  );
});

test('hours are said as people say them', () => {
  expect([0.4, 1.3, 3.8, 4.4, 17.6].map(hours)).toEqual(['0.5', '1.5', '4', '4', '18']);
});

test('what a room cleared with can be described in hundredths', () => {
  const clearing = absence().clearing;
  expect(clearedAt(absence())).toBe(0.5);
  expect(
    clearedAt(
      absence({
        clearing: clearing && {
          ...clearing,
          airChangesPerH: { value: 0.3449, low: 0.3, high: 0.4 },
        },
      }),
    ),
  ).toBe(0.34);
  expect(clearedAt(absence({ clearing: undefined }))).toBeUndefined();
});
