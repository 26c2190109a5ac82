import { fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { LaneDay, LaneState, ScheduleDay } from '../api/types';
import { DayLanes } from './DayLanes';
import { Playhead } from './Playhead';

const ZONE = 'Europe/Amsterdam';
const iso = (time: string, day = '2026-11-12') => new Date(`${day}T${time}:00+01:00`).toISOString();
const START = iso('00:00');
const END = iso('00:00', '2026-11-13');

function lane(
  id: string,
  kind: LaneDay['kind'],
  ...pieces: [string, string, LaneState][]
): LaneDay {
  return {
    id,
    name: id,
    kind,
    doses: [],
    pieces: pieces.map(([from, until, state]) => ({
      from,
      until,
      winner: { strength: 'SPECIAL', by: 'bubble hour', state, since: from },
      losers: [],
    })),
  };
}

const DAY: ScheduleDay = {
  day: '2026-11-12',
  from: START,
  until: END,
  lit: [{ from: iso('10:00'), until: iso('21:00') }],
  windows: [
    { id: 'bubbles', times: [{ from: iso('19:00'), until: iso('20:00') }] },
    {
      id: 'night',
      times: [
        { from: iso('21:00', '2026-11-11'), until: iso('10:00') },
        { from: iso('21:00'), until: iso('10:00', '2026-11-13') },
      ],
    },
  ],
  lanes: [
    lane(
      'pump',
      'FLOW_PUMP',
      [START, iso('19:00'), { does: 'SHARE', share: 0.6 }],
      [iso('19:00'), iso('20:00'), { does: 'WAVE', onS: 300, offS: 30 }],
      [iso('20:00'), END, { does: 'OFF' }],
    ),
    lane('air', 'AIR_PATH', [START, END, { does: 'RECIRCULATED', share: 0.05 }]),
    { ...lane('lime', 'DOSER', [START, END, { does: 'ON' }]), doses: [iso('03:00'), iso('15:00')] },
  ],
  conflicts: [
    {
      kind: 'NO_SURGES',
      from: iso('20:00'),
      until: iso('20:00'),
      lanes: ['pump'],
      because: 'two surges are missing',
      forbids: false,
      waysOut: [],
    },
    {
      kind: 'CLOSED_LOOP',
      lanes: ['air', 'gone'],
      because: 'no fresh air',
      forbids: true,
      waysOut: [],
    },
  ],
  more: 0,
};

const WINDOWS = [
  { id: 'bubbles', name: 'bubble hour', allDay: false },
  { id: 'night', name: 'night', allDay: false },
  { id: 'all', name: 'all day', allDay: true },
];

function drawn(width: number, more: Partial<Parameters<typeof DayLanes>[0]> = {}) {
  return render(
    <DayLanes
      day={DAY}
      windows={WINDOWS}
      zone={ZONE}
      width={width}
      playhead={(frame) => (
        <Playhead {...frame} at={Date.parse(iso('19:37'))} onAt={more.onAt ?? (() => undefined)} />
      )}
      onAt={() => undefined}
      {...more}
    />,
  );
}

beforeEach(() => {
  document.body.innerHTML = '';
});

describe('a day in lanes', () => {
  it.each([358, 1080])('loses no number and stays within %i pixels', (width) => {
    const { container } = drawn(width, { cut: { from: iso('18:00') }, beside: DAY });
    for (const element of container.querySelectorAll('svg *')) {
      for (const { name, value } of element.attributes) {
        expect(value, `${element.tagName} ${name}`).not.toMatch(/NaN|Infinity|undefined/);
      }
    }
    for (const rect of container.querySelectorAll('rect')) {
      const right = Number(rect.getAttribute('x')) + Number(rect.getAttribute('width'));
      expect(right).toBeLessThanOrEqual(width + 1);
    }
  });

  it('draws a wave turn by turn where it has room, and as one bar where it has none', () => {
    const turns = (width: number) => drawn(width).container.querySelectorAll('rect').length;
    const wide = turns(1080);
    document.body.innerHTML = '';
    expect(wide).toBeGreaterThan(turns(358) + 8);
  });

  it('marks conflicts where they happen, those that forbid with another shape', () => {
    const { container } = drawn(1080);
    const because = [...container.querySelectorAll('title')].map((t) => t.textContent);
    expect(because).toContain('two surges are missing');
    expect(because).toContain('no fresh air');
    expect(container.querySelectorAll('[stroke="var(--danger)"]')).toHaveLength(1);
  });

  it('gives handles to the edges that lie in the day alone', () => {
    drawn(1080, { onEdge: () => undefined });
    const names = screen.getAllByRole('slider').map((s) => s.getAttribute('aria-label'));
    expect(names.sort()).toEqual([
      'Playhead',
      'bubble hour, beginning',
      'bubble hour, end',
      'night, beginning',
      'night, end',
    ]);
  });

  it('moves edges by five minutes and the playhead by one, by keys', () => {
    const onEdge = vi.fn();
    const onAt = vi.fn();
    drawn(1080, { onEdge, onAt });
    const end = screen.getByRole('slider', { name: 'bubble hour, end' });
    fireEvent.keyDown(end, { key: 'ArrowLeft' });
    fireEvent.keyDown(end, { key: 'PageUp' });
    fireEvent.keyDown(end, { key: 'x' });
    expect(onEdge.mock.calls).toEqual([
      ['bubbles', 'until', -5],
      ['bubbles', 'until', 60],
    ]);
    const head = screen.getByRole('slider', { name: 'Playhead' });
    expect(head.getAttribute('aria-valuetext')).toBe('19:37');
    fireEvent.keyDown(head, { key: 'ArrowRight' });
    fireEvent.keyDown(head, { key: 'ArrowRight', shiftKey: true });
    fireEvent.keyDown(head, { key: 'Home' });
    expect(onAt.mock.calls.map(([ms]) => new Date(ms as number).toISOString())).toEqual([
      iso('19:38'),
      new Date(Date.parse(iso('19:37')) + 1000).toISOString(),
      START,
    ]);
  });

  it('opens what is pressed, by mouse and by keys', () => {
    const onLane = vi.fn();
    const onWindow = vi.fn();
    drawn(1080, { onLane, onWindow });
    fireEvent.click(screen.getByRole('button', { name: 'lime: add a rule' }));
    fireEvent.keyDown(screen.getByRole('button', { name: 'Change bubble hour' }), {
      key: 'Enter',
    });
    expect(onLane).toHaveBeenCalledWith('lime');
    expect(onWindow).toHaveBeenCalledWith('bubbles');
  });

  it('draws the other schedule only where it differs', () => {
    const dashed = (beside: ScheduleDay) => {
      document.body.innerHTML = '';
      return drawn(1080, { beside }).container.querySelectorAll('[stroke="var(--soft)"]').length;
    };
    expect(dashed(DAY)).toBe(0);
    const other = lane('pump', 'FLOW_PUMP', [START, END, { does: 'ON' }]);
    expect(dashed({ ...DAY, lanes: [other, ...DAY.lanes.slice(1)] })).toBe(1);
  });
});
