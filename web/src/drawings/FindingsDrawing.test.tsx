import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Finding } from '../api/types';
import { onTrack, FindingsDrawing } from './FindingsDrawing';

const band = (low: number, value: number, high: number) => ({ low, value, high });

const FINDINGS: Finding[] = [
  {
    decision: 'TROUGH_WITHOUT_SKIMMER',
    name: 'the trough with the skimmer off',
    promised: 0.4,
    before: band(7.8, 7.9, 8.0),
    after: band(7.85, 7.9, 7.95),
    achieved: 0.5,
  },
  { decision: 'LINE_GAIN', name: 'gain of an outdoor line', promised: 0.1 },
  {
    decision: 'TROUGH',
    name: 'the trough as it is',
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
        says={(t) => ({ now: t.after ? 'known' : 'not known', narrower: '' })}
        width={width}
      />,
    );
    expect(container.querySelectorAll('path')).toHaveLength(2);
    const bars = container.querySelectorAll('rect');
    expect(bars).toHaveLength(1);
    // Half as wide as the band before, which takes 2 of the 2.6 halves of its track.
    const track = width < 720 ? width - 16 : width - 264 - 300;
    expect(Number(bars[0]?.getAttribute('width'))).toBeCloseTo((track / 2.6) * 1, 0);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('skimmer off known');
    unmount();
  }
});
