import { expect, it } from 'vitest';
import type { LaneDay, LanePiece, ScheduleDay } from '../../../api/types';
import { switchTable } from './switchTable';

const since = '2026-07-01T08:00:00Z';

const piece = (from: string, until: string, does: 'ON' | 'OFF'): LanePiece => ({
  from,
  until,
  winner: { strength: 'USUAL', by: 'night', state: { does }, since },
  losers: [],
});

const dayOf = (lane: LaneDay): ScheduleDay => ({
  day: '2026-07-01',
  from: '2026-06-30T22:00:00Z',
  until: '2026-07-01T22:00:00Z',
  lit: [],
  windows: [],
  lanes: [lane],
  conflicts: [],
  more: 0,
});

/** Summer time: 10:00 in Amsterdam is 08:00 in Greenwich. */
it('lists switches and doses in the home’s time, and disarms what looks like a formula', () => {
  const table = switchTable(
    dayOf({
      id: 'a',
      name: '=lime, "strong"',
      kind: 'DOSER',
      pieces: [
        piece('2026-06-30T22:00:00Z', since, 'ON'),
        piece(since, '2026-07-01T22:00:00Z', 'OFF'),
      ],
      doses: ['2026-07-01T01:30:00Z', '2026-07-01T12:00:00Z'],
    }),
    'Europe/Amsterdam',
  );
  const name = `"'=lime, ""strong"""`;
  expect(table.split('\r\n')).toEqual([
    'time,device,state,why',
    `2026-07-01 00:00,${name},dosing allowed,"usual, night"`,
    `2026-07-01 03:30,${name},a dose,set in Dosing`,
    `2026-07-01 10:00,${name},no doses,"usual, night"`,
    '',
  ]);
});

it('says what was planned for the hours of an outage', () => {
  const out = piece('2026-07-01T06:00:00Z', '2026-07-01T07:00:00Z', 'OFF');
  const table = switchTable(
    dayOf({
      id: 'a',
      name: 'return pump',
      kind: 'RETURN_PUMP',
      pieces: [
        piece('2026-06-30T22:00:00Z', '2026-07-01T06:00:00Z', 'ON'),
        {
          ...out,
          winner: { ...out.winner, strength: 'POWER', by: 'power cut' },
          losers: [piece('', '', 'ON').winner],
        },
        piece('2026-07-01T07:00:00Z', '2026-07-01T22:00:00Z', 'ON'),
      ],
      doses: [],
    }),
    'Europe/Amsterdam',
  );
  expect(table.split('\r\n')).toEqual([
    'time,device,state,why',
    '2026-07-01 00:00,return pump,on,"usual, night"',
    '',
  ]);
});
