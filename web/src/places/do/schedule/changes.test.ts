import { describe, expect, it } from 'vitest';
import type { LaneWindow, Schedule } from '../../../api/types';
import {
  freshId,
  movedEdge,
  weekendApart,
  weekendOfItsOwn,
  withEdge,
  withLane,
  withoutLane,
  withoutWindow,
  withRule,
} from './changes';
import { WEEKEND, WORKDAYS } from './words';

const BUBBLES: LaneWindow = {
  id: 'bubbles',
  name: 'bubble hour',
  allDay: false,
  from: { time: '19:00' },
  until: { time: '20:00' },
};
const STONE = {
  id: 'stone',
  kind: 'AIR_PUMP',
  name: 'stone',
  rest: { does: 'OFF' },
  afterPower: { does: 'OFF' },
} as const;
const P: Schedule = {
  lanes: [STONE],
  windows: [BUBBLES],
  rules: [{ lane: 'stone', kind: 'SPECIAL', window: 'bubbles', state: { does: 'ON' } }],
};

describe('changes of a schedule', () => {
  it('gives ids that are letters, digits and hyphens, and not taken', () => {
    expect(freshId('Bubble hour, évening!', [])).toBe('bubble-hour-e-vening');
    expect(freshId('stone', [STONE])).toBe('stone-2');
    expect(freshId('灯', [])).toBe('one');
  });

  it('moves an edge by the clock round midnight, and one by the lamps by its minutes', () => {
    expect(movedEdge({ time: '23:58' }, 5)).toEqual({ time: '00:03' });
    expect(movedEdge({ time: '00:02' }, -5)).toEqual({ time: '23:57' });
    expect(movedEdge({ light: 'OFF', minutes: -10 }, 15)).toEqual({ light: 'OFF', minutes: 5 });
    expect(movedEdge({ light: 'ON' }, -15)).toEqual({ light: 'ON', minutes: -15 });
    expect(withEdge(P, 'bubbles', 'until', 30).windows[0]?.until).toEqual({ time: '20:30' });
    expect(withEdge(P, 'nowhere', 'until', 30)).toBe(P);
  });

  it('takes a window or a lane out with all that hangs on it', () => {
    expect(withoutWindow(P, 'bubbles')).toEqual({ ...P, windows: [], rules: [] });
    expect(withoutLane(P, 'stone')).toEqual({ ...P, lanes: [], rules: [] });
  });

  it('puts a lane or a rule in its own place', () => {
    expect(withLane(P, { ...STONE, name: 'other' }).lanes.map((l) => l.name)).toEqual(['other']);
    const rule = P.rules[0];
    if (!rule) throw new Error('no rule');
    expect(withRule(P, { ...rule, state: { does: 'OFF' } }, rule).rules).toEqual([
      { ...rule, state: { does: 'OFF' } },
    ]);
  });

  it('copies a window for weekends with its rules', () => {
    const apart = weekendApart(P, 'bubbles');
    expect(apart.windows.map((w) => w.days)).toEqual([WORKDAYS, WEEKEND]);
    expect(apart.rules.map((r) => r.window)).toEqual(['bubbles', 'bubble-hour-weekends']);
    expect(P.windows[0]?.days).toBeUndefined();
  });

  it('gives weekends a day of their own, once, and leaves the usual day alone', () => {
    const usual: LaneWindow = { ...BUBBLES, id: 'night', name: 'night' };
    const p: Schedule = {
      ...P,
      windows: [BUBBLES, usual],
      rules: [...P.rules, { lane: 'stone', kind: 'USUAL', window: 'night', state: { does: 'ON' } }],
    };
    const apart = weekendOfItsOwn(p);
    expect(apart.windows.map((w) => w.name)).toEqual([
      'bubble hour',
      'night',
      'bubble hour, weekends',
    ]);
    expect(weekendOfItsOwn(apart)).toEqual(apart);
  });
});
