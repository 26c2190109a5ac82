import { describe, expect, it } from 'vitest';
import { range } from '../../../lib/number';
import type { LaneDay, LanePiece, LaneState, ScheduleDay } from '../../../api/types';
import { draftOf, readLasting, readState, readSurges } from './drafts';
import {
  dayVerdict,
  daysWords,
  doesWords,
  dosesMade,
  edgeWords,
  lasting,
  mediaWords,
  pieceAt,
  ruleWords,
  waveAt,
  whyWords,
  windowWords,
} from './words';

const ZONE = 'Europe/Amsterdam';
const at = (time: string) => Date.parse(`2026-11-12T${time}+01:00`);
const WAVE: LaneState = { does: 'WAVE', onS: 300, offS: 30 };

function piece(from: string, until: string, state: LaneState, by = 'bubble hour'): LanePiece {
  const usual = {
    strength: 'USUAL',
    by: 'all day',
    state: { does: 'ON' },
    since: new Date(at('00:00:00')).toISOString(),
  } as const;
  return {
    from: new Date(at(from)).toISOString(),
    until: new Date(at(until)).toISOString(),
    winner: { strength: 'SPECIAL', by, state, since: new Date(at(from)).toISOString() },
    losers: [usual],
  };
}

const lane = (kind: LaneDay['kind'], pieces: LanePiece[], doses: string[] = []): LaneDay => ({
  id: 'x',
  name: 'x',
  kind,
  pieces,
  doses: doses.map((t) => new Date(at(t)).toISOString()),
});

describe('what a lane does', () => {
  const hour = piece('19:00:00', '20:00:00', WAVE);

  /** Five minutes on and half a minute off, from 19:00 on: off from 19:05:00 to 19:05:30. */
  it('says where a wave stands', () => {
    expect(waveAt(hour.winner, at('19:04:59'))).toEqual({ on: true, leftS: 1, ofS: 300 });
    expect(waveAt(hour.winner, at('19:05:00'))).toEqual({ on: false, leftS: 30, ofS: 30 });
    expect(waveAt(hour.winner, at('19:05:30'))).toEqual({ on: true, leftS: 300, ofS: 300 });
    expect(doesWords(lane('FLOW_PUMP', [hour]), hour, at('19:37:12'), ZONE)).toBe(
      'on, 48 s left of 5 min',
    );
    expect(whyWords(hour)).toBe('bubble hour · overrides the usual day');
  });

  it('names the next dose that may be made', () => {
    const may = piece('00:00:00', '12:00:00', { does: 'ON' }, 'night');
    const not = piece('12:00:00', '20:00:00', { does: 'OFF' }, 'day');
    const later = piece('20:00:00', '23:59:59', { does: 'ON' }, 'night');
    const doser = lane('DOSER', [may, not, later], ['06:00:00', '13:00:00', '21:30:00']);
    expect(doesWords(doser, may, at('05:00:00'), ZONE)).toBe('dosing allowed, next 06:00');
    expect(doesWords(doser, may, at('07:00:00'), ZONE)).toBe('dosing allowed, next 21:30');
    expect(doesWords(doser, not, at('13:00:00'), ZONE)).toBe('no doses');
    expect(pieceAt(doser, at('12:00:00'))).toBe(not);
  });
});

describe('times in words', () => {
  it('says and reads how long', () => {
    expect([0, 30, 90, 300, 3600, 5400].map(lasting)).toEqual([
      '0 s',
      '30 s',
      '1 min 30 s',
      '5 min',
      '1 h',
      '1 h 30 min',
    ]);
    expect(['5 min', '1 min 30 s', '5:00', '0:30', '0.5 h', '2h'].map(readLasting)).toEqual([
      300, 90, 300, 30, 1800, 7200,
    ]);
    expect(['', '5', 'soon', '-5 min', '1:75'].map(readLasting)).toEqual(
      Array.from({ length: 5 }, () => undefined),
    );
  });

  it('says windows, by the clock and by the lamps', () => {
    expect(edgeWords({ time: '19:00' })).toBe('19:00');
    expect(edgeWords({ light: 'OFF', minutes: -120 })).toBe('2 h before lamps-off');
    expect(edgeWords({ light: 'ON', minutes: 0 })).toBe('lamps-on');
    const w = {
      id: 'w',
      name: 'w',
      allDay: false,
      from: { time: '19:00' },
      until: { time: '20:00' },
    };
    expect(windowWords(w)).toBe('19:00 to 20:00, every day');
    expect(daysWords({ ...w, days: ['SATURDAY', 'SUNDAY'] })).toBe('weekends');
    expect(daysWords({ ...w, days: ['MONDAY', 'FRIDAY'] })).toBe('Mon, Fri');
    expect(daysWords({ ...w, seasonFrom: '11-15', seasonUntil: '02-29' })).toBe(
      'every day, 15 Nov to 29 Feb',
    );
  });

  it('says rules', () => {
    const windows = [
      {
        id: 'w',
        name: 'bubble hour',
        allDay: false,
        from: { time: '19:00' },
        until: { time: '20:00' },
      },
    ];
    expect(
      ruleWords({ lane: 'x', kind: 'SPECIAL', window: 'w', state: WAVE }, 'FLOW_PUMP', windows),
    ).toBe('5 min on, 30 s off in “bubble hour”');
    const limit = {
      quantity: 'PH',
      above: false,
      value: 8.2,
      hysteresis: 0.05,
      leastOnMin: 10,
      leastOffMin: 10,
      staleAfterMin: 30,
    } as const;
    expect(
      ruleWords(
        {
          lane: 'x',
          kind: 'GATE',
          state: { does: 'MEDIA' },
          limit,
          whenNotKnown: { does: 'FRESH' },
        },
        'AIR_PATH',
        windows,
      ),
    ).toBe('through media while pH is below 8.2, without a reading fresh air');
    expect(
      ruleWords({ lane: 'x', kind: 'CUT_OUT', state: { does: 'OFF' }, limit }, 'DOSER', windows),
    ).toBe('no doses while pH is below 8.2');
  });
});

describe('what is typed', () => {
  it('comes back as it was', () => {
    for (const state of [
      WAVE,
      { does: 'SHARE', share: 0.6 },
      { does: 'RECIRCULATED', share: 0.05 },
      { does: 'OFF' },
    ] as LaneState[]) {
      expect(readState(draftOf(state))).toEqual(state);
    }
  });

  it('is refused in words', () => {
    expect(readState({ does: 'SHARE', share: '140', on: '', off: '' })).toMatch(/0–100/);
    expect(readState({ does: 'WAVE', share: '', on: '5 min', off: '0 s' })).toMatch(
      /5 min and 30 s/,
    );
    expect(readSurges({ times: '0', lasts: '1 min', apart: '5 min' }, { does: 'ON' })).toMatch(
      /1 to 20/,
    );
    expect(readSurges({ times: '2', lasts: '1 min', apart: '5 min' }, { does: 'ON' })).toEqual([
      { afterS: 0, lastsS: 60, state: { does: 'ON' } },
      { afterS: 300, lastsS: 60, state: { does: 'ON' } },
    ]);
  });
});

describe('what the twin says', () => {
  it('counts the doses that are made, and the hours of what drips', () => {
    const may = piece('00:00:00', '12:00:00', { does: 'ON' }, 'night');
    const not = piece('12:00:00', '23:59:59', { does: 'OFF' }, 'day');
    const day = (...lanes: LaneDay[]) => ({ lanes }) as unknown as ScheduleDay;
    const hourly = { ...lane('DOSER', [may, not], ['06:00:00', '13:00:00']), name: 'soda' };
    const drips = { ...lane('DOSER', [may, not]), name: 'lime' };
    const rests = { ...lane('DOSER', [not]), name: 'calcium' };
    expect(dosesMade(day(hourly, drips, rests))).toBe(
      'soda 1 of 2, lime over 12 h, calcium not at all',
    );
    expect(dosesMade(day(lane('FLOW_PUMP', [may])))).toBeUndefined();
  });

  it('says estimates as ranges, and media by how long they last or what stops them', () => {
    expect(range({ value: 8.1, low: 8.05, high: 8.2 }, 2)).toBe('8.05–8.20');
    expect(range({ value: 6.31, low: 6.31, high: 6.32 }, 1)).toBe('6.3');
    const media = {
      massKg: 1.5,
      lastDays: { value: 16, low: 14.2, high: 18.9 },
      waterPerKg: 0.31,
      drowned: false,
      perMonth: 30,
    };
    expect(mediaWords(media)).toBe('1.5 kg lasts 14–19 days');
    expect(mediaWords({ ...media, drowned: true })).toBe('drowned, 0.31 L in each kg');
  });
});

describe('the verdict', () => {
  const day = (forbids: boolean[], more = 0): ScheduleDay => ({
    day: '2026-11-12',
    from: '',
    until: '',
    lit: [],
    windows: [],
    lanes: [],
    conflicts: forbids.map((f) => ({
      kind: 'NO_SURGES',
      lanes: [],
      because: '',
      forbids: f,
      waysOut: [],
    })),
    more,
  });

  it('counts, and says what keeps it from being saved', () => {
    expect(dayVerdict(day([]))).toBe('No conflicts');
    expect(dayVerdict(day([false]))).toBe('One conflict');
    expect(dayVerdict(day([false, false], 3))).toBe('5 conflicts');
    expect(dayVerdict(day([true]))).toBe('One conflict, and it must be fixed before you can save');
    expect(dayVerdict(day([true, false]))).toBe(
      '2 conflicts, one of which must be fixed before you can save',
    );
  });
});
