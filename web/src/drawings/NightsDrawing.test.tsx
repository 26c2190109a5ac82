import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { NightsDrawing } from './NightsDrawing';

const NIGHTS = [
  { name: 'tonight', early: 6, late: 12, said: '6–12 h' },
  { name: 'for long', early: undefined, late: undefined, said: 'over 48 h' },
];
const WIDE = 900;

function bars(width: number) {
  const { container } = render(<NightsDrawing nights={NIGHTS} outageH={8} width={width} />);
  return [...container.querySelectorAll('rect')].map((bar) => Number(bar.getAttribute('width')));
}

it('draws the sure hours solid, and twice as far to the later end', () => {
  const [sure, open, long] = bars(WIDE);
  expect(open).toBeCloseTo(sure ?? 0);
  // What lasts beyond the scale of a day reaches its edge, four times as far as six hours do.
  expect(long).toBeCloseTo(4 * (sure ?? 0));
});

it('marks what is shorter than the outage, and says all of it', () => {
  render(<NightsDrawing nights={NIGHTS} outageH={8} width={WIDE} />);
  const drawing = screen.getAllByRole('img').at(-1);
  const said = [...(drawing?.querySelectorAll('text') ?? [])].map((t) => t.textContent);
  expect(said).toContain('✕ 6–12 h');
  expect(said).toContain('over 48 h');
  expect(drawing?.getAttribute('aria-label')).toContain('tonight: 6–12 h. for long: over 48 h');
});
