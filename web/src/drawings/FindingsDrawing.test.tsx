import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Finding } from '../api/types';
import { onTrack, FindingsDrawing } from './FindingsDrawing';

const band = (low: number, value: number, high: number) => ({ low, value, high });

const FINDINGS: Finding[] = [
  {
    decision: 'TROUGH_WITHOUT_SKIMMER',
    name: 'the daily low with the skimmer off',
    promised: 0.4,
    before: band(7.8, 7.9, 8.0),
    after: band(7.85, 7.9, 7.95),
    achieved: 0.5,
  },
  { decision: 'LINE_GAIN', name: 'the gain of an outdoor hose', promised: 0.1 },
  {
    decision: 'TROUGH',
    name: 'the trough current setup',
    promised: 0.05,
    before: band(7.9, 7.95, 8.0),
  },
];

it('stands by the band before', () => {
  const before = band(7.8, 7.88, 8.0);
  expect(onTrack(7.8, before)).toBeCloseTo(-1);
  expect(onTrack(7.9, before)).toBeCloseTo(0);
  expect(onTrack(8.5, before)).toBeCloseTo(1.3);
  expect(onTrack(5, band(5, 5, 5))).toBe(0);
});

it('draws what is known of each, and a bar only where there is a fit', () => {
  for (const width of [390, 900]) {
    const { container, unmount } = render(
      <FindingsDrawing
        findings={FINDINGS}
        says={(t) => ({ now: t.after ? 'known' : 'unknown', narrower: '' })}
        width={width}
      />,
    );
    expect(container.querySelectorAll('path')).toHaveLength(2);
    const bars = container.querySelectorAll('rect');
    expect(bars).toHaveLength(1);
    // Half as wide as the band before.
    const [from, to] = /^M([\d.]+) [\d.]+H([\d.]+)/
      .exec(container.querySelector('path')?.getAttribute('d') ?? '')
      ?.slice(1)
      .map(Number) ?? [0, 0];
    expect(to).toBeGreaterThan(from ?? 0);
    expect(Number(bars[0]?.getAttribute('width'))).toBeCloseTo(((to ?? 0) - (from ?? 0)) / 2, 0);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('skimmer off known');
    unmount();
  }
});
