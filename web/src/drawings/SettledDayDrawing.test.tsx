import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { scaleOfDays, SettledDayDrawing } from './SettledDayDrawing';

const HOUR = 3600;

/** Three days by the hour that settle from 7.0 to `ph`; only the last one is flat. */
function settlesTo(ph: number) {
  const at = Array.from({ length: 73 }, (_, i) => i * HOUR);
  const value = at.map((_, i) => (i < 48 ? 7 : ph));
  const estimate = { value: ph, low: ph - 0.1, high: ph + 0.1 };
  return {
    at,
    ph: { value, low: value.map((v) => v - 0.1), high: value.map((v) => v + 0.1) },
    troughPh: estimate,
    peakPh: estimate,
  };
}

it('draws the settled day alone, all sets and the goal on one scale', () => {
  expect(scaleOfDays([settlesTo(8), settlesTo(8.2)], 8.05)).toEqual([
    expect.closeTo(7.9),
    expect.closeTo(8.3),
  ]);
  expect(scaleOfDays([settlesTo(8)], 8.5)[1]).toBe(8.5);
});

it('says low and high of its set', () => {
  render(
    <SettledDayDrawing forecast={settlesTo(8)} scale={[7.9, 8.5]} goal={8.05} name="a window" />,
  );
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
    'Settled day with a window: low 8.00, high 8.00.',
  );
});
