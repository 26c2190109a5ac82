import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { CurvePoint, Day, TankDescription } from '../api/types';
import { DayRibbon } from './DayRibbon';

const MIDNIGHT = Date.parse('2026-11-11T23:00:00Z');
const BAND: TankDescription['band'] = {
  troughAtLeast: 8,
  peakAtMost: 8.4,
  actBelow: 7.8,
  reason: '',
};

const point = (hour: number, ph: number): CurvePoint => ({
  at: new Date(MIDNIGHT + hour * 3.6e6).toISOString(),
  ph,
  method: 'PROBE',
});

/** A day whose lowest and highest readings came at these hours. */
function day(lowest: number, highest: number): Day {
  const curve = Array.from({ length: 49 }, (_, i) =>
    point(i / 2, i / 2 === lowest ? 7.8 : i / 2 === highest ? 8.2 : 8),
  );
  return {
    day: '2026-11-12',
    latest: '2026-11-12',
    start: new Date(MIDNIGHT).toISOString(),
    end: new Date(MIDNIGHT + 86.4e6).toISOString(),
    now: new Date(MIDNIGHT + 86.4e6).toISOString(),
    stretches: [curve],
    usual: [],
    lit: [],
    rampMinutes: 30,
    trough: point(lowest, 7.8),
    peak: point(highest, 8.2),
    surrounded: true,
    warnings: [],
    events: [],
  };
}

function flags(of: Day, width: number) {
  const { container } = render(
    <DayRibbon day={of} band={BAND} zone="Europe/Amsterdam" width={width} />,
  );
  return [...container.querySelectorAll('text')]
    .filter((t) => /(low|high),/.test(t.textContent))
    .map((t) => ({
      said: t.textContent,
      x: Number(t.getAttribute('x')),
      anchor: t.getAttribute('text-anchor'),
    }));
}

describe('the words at the extremes', () => {
  it('say value, name, hour, and on wide windows the method', () => {
    const said = flags(day(8.5, 20), 1080).map((f) => f.said);
    expect(said).toContain('7.80low, 08:30 · probe');
    expect(said).toContain('8.20high, 20:00 · probe');
    expect(flags(day(8.5, 20), 358).map((f) => f.said)).toContain('7.80low, 08:30');
  });

  // The longest words take 165 pixels on a phone, 240 on a desk; the scale's figures end at 40.
  it.each([
    [358, 165],
    [1080, 240],
  ])('stay off the scale and inside the window, %i wide', (width, length) => {
    for (let hour = 0; hour <= 24; hour += 0.5) {
      for (const { x, anchor } of flags(day(hour, (hour + 11.5) % 24), width)) {
        const [from, to] = anchor === 'end' ? [x - length + 20, x] : [x, x + length - 20];
        expect(from).toBeGreaterThanOrEqual(40);
        expect(to).toBeLessThanOrEqual(width);
      }
    }
  });
});
