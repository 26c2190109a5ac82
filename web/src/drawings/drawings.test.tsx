import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Forecast, GasBalanceRow, OneGas, Night, OxygenCourse } from '../api/types';
import { CourseDrawing } from './CourseDrawing';
import { DailySizeDrawing } from './DailySizeDrawing';
import { ForecastDrawing } from './ForecastDrawing';
import { GroundsDrawing } from './GroundsDrawing';
import { GasBalanceDrawing, rowName } from './GasBalanceDrawing';
import { ProbeDrawing } from './ProbeDrawing';
import { ScoreDrawing } from './ScoreDrawing';
import { OxygenMarginDrawing } from './OxygenMarginDrawing';
import { OxygenClockDrawing } from './OxygenClockDrawing';
import { TrialDrawing } from './TrialDrawing';

beforeEach(() => {
  document.body.innerHTML = '';
});

/** Every attribute that is drawn from a number: none may be lost on the way. */
function soundNumbers(container: HTMLElement) {
  for (const element of container.querySelectorAll('svg *')) {
    for (const { name, value } of element.attributes) {
      expect(value, `${element.tagName} ${name}`).not.toMatch(/NaN|Infinity|undefined/);
    }
  }
}

const START = Date.parse('2026-11-10T23:00:00Z') / 1000;

function forecast(ph: (i: number) => number, spread = 0.03): Forecast {
  const at = Array.from({ length: 192 }, (_, i) => START + i * 900);
  const course = (of: (i: number) => number) => ({
    value: at.map((_, i) => of(i)),
    low: at.map((_, i) => of(i) - spread),
    high: at.map((_, i) => of(i) + spread),
  });
  const estimate = (value: number) => ({ value, low: value - spread, high: value + spread });
  return {
    at,
    ph: course(ph),
    oxygenMgPerL: course(() => 6.5),
    roomPpm: course(() => 700),
    troughPh: estimate(7.9),
    troughAt: '2026-11-11T09:00:00Z',
    peakPh: estimate(8.2),
    gainPh: estimate(0.1),
    lowestOxygenMgPerL: estimate(6.2),
    highestOmega: 4,
    settleHours: estimate(30),
    cost: { toFit: 0, perMonth: 0, effort: 'NONE' },
    ways: [],
    cautions: [],
  };
}

describe('the probe', () => {
  it('draws what is added to its readings, what the buffers found and what a kit showed', () => {
    const at = (day: number) => new Date(Date.UTC(2026, 9, day)).toISOString();
    const { container } = render(
      <ProbeDrawing
        probe={{
          calibrations: [
            {
              at: at(10),
              points: [],
              meter: 'SET_ITSELF',
              note: '',
              tooMuchPh: -0.04,
              condition: 'GOOD',
            },
          ],
          correctionPh: 0,
          uncertaintyPh: 0.04,
          late: false,
          course: [1, 9, 10, 20].map((d) => ({
            at: at(d),
            correctionPh: d < 10 ? 0.04 : 0,
            uncertaintyPh: 0.03,
          })),
          buffers: [],
          compared: [
            {
              method: 'COLOUR_KIT',
              pairs: [{ at: at(15), probe: 8.1, other: 8.2 }],
              meanDifference: 0.1,
            },
          ],
        }}
        zone="Europe/Amsterdam"
        width={600}
      />,
    );
    soundNumbers(container);
    expect(container.querySelectorAll('circle')).toHaveLength(1);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('± 0.03');
  });
});

describe('the score', () => {
  it('draws a dot for what came, and none for what has not come yet', () => {
    const estimate = (value: number) => ({ value, low: value - 0.05, high: value + 0.05 });
    const { container } = render(
      <ScoreDrawing
        days={[
          {
            day: '2026-11-11',
            trough: estimate(7.9),
            peak: estimate(8.2),
            cameTrough: 7.93,
            camePeak: 8.28,
            afterwards: false,
          },
          { day: '2026-11-12', trough: estimate(7.9), peak: estimate(8.2), afterwards: false },
        ]}
        width={500}
      />,
    );
    soundNumbers(container);
    expect(container.querySelectorAll('circle')).toHaveLength(2);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('1 of them are over');
  });
});

describe('the forecast', () => {
  const draw = (now: Forecast, then: Forecast | null) =>
    render(
      <ForecastDrawing
        now={now}
        then={then}
        lit={[]}
        band={{ troughAtLeast: 8, peakAtMost: 8.4 }}
        zone="Europe/Amsterdam"
        width={700}
      />,
    );

  it('draws waves and flat lines, with a ghost and without', () => {
    const wave = forecast((i) => 8 + 0.15 * Math.sin(i / 15));
    for (const [now, then] of [
      [wave, null],
      [wave, forecast(() => 8.1, 0)],
      [forecast(() => 8, 0), forecast(() => 8, 0)],
    ] as const) {
      const { container, unmount } = draw(now, then);
      soundNumbers(container);
      unmount();
    }
  });

  it('says in words what it draws', () => {
    draw(
      forecast(() => 8),
      forecast(() => 8.1),
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('low 7.9');
  });
});

const night = (strain: Night['strain'], lowestMgPerL: number): Night => ({
  strain,
  lowestMgPerL,
  temperatureC: 25,
  at: '2026-11-11T09:00:00Z',
  demandMgPerLPerH: 0.6,
  supplyMgPerLPerH: 2,
});

it('the margin draws suffocating and supersaturated nights alike', () => {
  for (const lowest of [0, 3.4, 6.6, 14]) {
    const { container, unmount } = render(
      <OxygenMarginDrawing
        nights={[night('AS_IT_IS', lowest)]}
        caution={5}
        danger={3.5}
        width={360}
      />,
    );
    soundNumbers(container);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain(lowest.toFixed(1));
    unmount();
  }
});

describe('the oxygen clock', () => {
  const course = (danger: number | undefined): OxygenCourse => ({
    points: Array.from({ length: 217 }, (_, i) => ({
      hours: i / 6,
      early: Math.max(0, 6 - i / 20),
      likely: Math.max(0, 6 - i / 30),
      late: Math.max(0, 6.2 - i / 40),
      celsius: 25,
      coldestC: 25,
      ammoniaMgPerL: 0,
    })),
    caution: { early: danger, likely: danger, late: danger },
    danger: { early: danger, likely: danger, late: danger },
    loss: {},
  });
  const draw = (danger: number | undefined, nowH: number | undefined) =>
    render(
      <OxygenClockDrawing
        id="a"
        course={course(danger)}
        lines={{ caution: 5, danger: 3.5, loss: 2 }}
        nowH={nowH}
        readings={[{ h: 2, mgPerL: 4.4 }]}
        width={350}
      />,
    );

  it('draws with danger ahead, past and never', () => {
    for (const [danger, now] of [
      [2, undefined],
      [2, 9],
      [undefined, 40],
      [0, 0],
    ] as const) {
      const { container, unmount } = draw(danger, now);
      soundNumbers(container);
      unmount();
    }
  });
});

const row = (kind: GasBalanceRow['kind'], value: number, name = ''): GasBalanceRow => ({
  kind,
  name,
  nowMmolPerH: { value, low: value - 0.2, high: value + 0.2 },
  dayMmol: { value: value * 24, low: value * 23, high: value * 25 },
});

describe('the gas balance', () => {
  const balance: OneGas = {
    rows: [
      row('REEF', 6.6),
      row('SKIMMER', -7.3),
      row('SURFACE', -1.4, 'display'),
      row('LIGHT', 0),
    ],
    storedDayMmol: 0,
    waterUatm: 900,
    bubbleShare: 0.8,
  };

  it('leaves out what does nothing, orders by size and opens a row', async () => {
    const user = userEvent.setup();
    const choose = vi.fn();
    render(
      <GasBalanceDrawing gas="co2" balance={balance} over="hour" chosen={null} choose={choose} />,
    );
    const names = screen.getAllByRole('button').map((b) => b.textContent);
    expect(names[0]).toContain('reef respiration');
    expect(names.at(-1)).toContain('skimmer');
    expect(screen.queryByText('photosynthesis')).not.toBeNull();
    await user.click(screen.getByRole('button', { name: /display \(surface\)/ }));
    expect(choose).toHaveBeenCalledWith(balance.rows[2]);
  });

  it('names a row by its own name and its kind', () => {
    expect(rowName(row('SURFACE', 1, 'display'))).toBe('display (surface)');
    expect(rowName(row('SKIMMER', 1))).toBe('skimmer');
    expect(rowName(row('SKIMMER', 1, 'second'))).toBe('second (skimmer)');
  });

  it('draws an empty balance', () => {
    const { container } = render(
      <GasBalanceDrawing
        gas="oxygen"
        balance={{ rows: [], storedDayMmol: 0, waterUatm: 0, bubbleShare: 0 }}
        over="day"
        chosen={null}
        choose={() => undefined}
      />,
    );
    expect(container.textContent).not.toMatch(/NaN|Infinity/);
  });
});

describe('what changes did', () => {
  const from = Date.parse('2026-09-24T16:20:00Z');
  const halfHours = Array.from({ length: 12 }, (_, i) => ({
    at: new Date(from + i * 1_800_000).toISOString(),
    moved: 0.01 * i,
    rises: 0.008 * i,
  }));
  const hours = {
    from: '2026-09-24T16:20:00Z',
    until: '2026-09-24T22:20:00Z',
    through: 0.7,
    left: { value: 0.1, deviation: 0.02, ofDays: 0.02, low: 0.06, high: 0.14 },
    stretches: 5,
    halfHours,
  };

  it.each([358, 760])('stands inside its window hour by hour, %i wide', (width) => {
    const { container } = render(
      <TrialDrawing
        hours={{ ...hours, possible: { value: 0.1, low: 0.05, high: 0.16 } }}
        zone="Europe/London"
        width={width}
      />,
    );
    soundNumbers(container);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Hour by hour: expected to end at +0.06 to +0.14. Possible: +0.05 to +0.16.',
    );
    expect(container.querySelectorAll('circle')).toHaveLength(12);
    // The end, and what is possible.
    expect(container.querySelectorAll('svg > rect')).toHaveLength(2);
    for (const rect of container.querySelectorAll('svg > rect')) {
      expect(Number(rect.getAttribute('x')) + Number(rect.getAttribute('width'))).toBeLessThan(
        width,
      );
    }
  });

  it('draws nothing possible where nobody said what was done', () => {
    const { container } = render(<TrialDrawing hours={hours} zone="Europe/London" width={358} />);
    soundNumbers(container);
    expect(container.querySelectorAll('svg > rect')).toHaveLength(1);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('Possible: unknown');
  });

  it('tells days before a change from those after it, and the usual from nought', () => {
    const { container } = render(
      <DailySizeDrawing
        days={['2026-09-08', '2026-09-09', '2026-09-10', '2026-09-11'].map((day, i) => ({
          day,
          size: i < 2 ? 100 : 40,
        }))}
        from="2026-09-10"
        usual={100}
        says="it fell"
        width={358}
      />,
    );
    soundNumbers(container);
    const fills = [...container.querySelectorAll('circle')].map((dot) => dot.getAttribute('fill'));
    expect(fills).toEqual(['var(--soft)', 'var(--soft)', 'var(--co2)', 'var(--co2)']);
  });
});

describe('the grounds', () => {
  const draw = (...weights: number[]) =>
    render(
      <GroundsDrawing
        grounds={weights.map((weight) => ({ words: String(weight), weight }))}
        width={132}
      />,
    );

  it('weighs what speaks for a suspect against what speaks against it', () => {
    const { container } = draw(3, -1);
    soundNumbers(container);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'More evidence for this than against.',
    );
    const [against, speaks] = [...container.querySelectorAll('rect')].map((bar) =>
      Number(bar.getAttribute('width')),
    );
    expect(speaks).toBeCloseTo(3 * Number(against), 6);
  });

  it('stays within its frame however much is known, and says so where nothing is', () => {
    const { container } = draw(900, -2000);
    for (const bar of container.querySelectorAll('rect')) {
      expect(Number(bar.getAttribute('x'))).toBeGreaterThanOrEqual(0);
      expect(Number(bar.getAttribute('x')) + Number(bar.getAttribute('width'))).toBeLessThanOrEqual(
        132,
      );
    }
    document.body.innerHTML = '';
    draw();
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('No evidence');
  });
});

it('draws months of tests, and a line where they fell', () => {
  const measured = [8.6, 8.5, 8.6, 8.1, 7.8].map((value, week) => ({
    at: new Date(Date.UTC(2026, 9, 3 + 7 * week, 16)).toISOString(),
    value,
  }));
  const { container } = render(
    <CourseDrawing
      measured={measured}
      drifts={[{ from: '2026-10-17', until: '2026-10-31', begins: 8.6, ends: 7.8 }]}
      says="It fell."
      width={700}
    />,
  );
  soundNumbers(container);
  expect(container.querySelectorAll('circle')).toHaveLength(5);
  const ends = /M([\d.]+) ([\d.]+)L([\d.]+) ([\d.]+)/.exec(
    container.querySelector('path')?.getAttribute('d') ?? '',
  );
  expect(Number(ends?.[4])).toBeGreaterThan(Number(ends?.[2]));
  expect(Number(ends?.[3])).toBeGreaterThan(Number(ends?.[1]));
});
