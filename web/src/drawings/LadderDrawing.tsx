import { scaleLinear, scaleUtc } from 'd3-scale';
import type { EffectCard, Trough } from '../api/types';
import { signed } from '../lib/number';
import { HALO } from './halo';
import { Scale } from './Scale';
import { lines, noon, plateaus, rungs, type Rung } from './ladderLayout';
import { TimeTicks } from './TimeTicks';
import { shortDay } from '../lib/time';

const LEFT = 42;
const RIGHT = 10;
const LABELS = 3;
const LABEL = 20;
const ABOVE = 14;
const HEIGHT = 165;
/** Too narrow for more than the numbers of the changes. */
const NARROW = 560;
const BOTTOM = 24;
/** As wide as “10 −0.03” and as “10” are. */
const LABEL_WIDE = 74;
const NUMBER_WIDE = 22;

interface Ladder {
  cards: readonly EffectCard[];
  days: readonly Trough[];
  width: number;
}

/** Where its steps stand, and on which line above each is named. */
function layOut({ cards, days, width }: Ladder) {
  const steps = rungs(cards);
  const narrow = width < NARROW;
  const x = scaleUtc()
    .domain([noon(days[0]?.day ?? ''), noon(days.at(-1)?.day ?? '')])
    .range([LEFT, width - RIGHT]);
  const line = lines(
    steps.map((r) => x(r.at)),
    narrow ? NUMBER_WIDE : LABEL_WIDE,
    LABELS,
  );
  const top = (Math.max(0, ...line) + 1) * LABEL + ABOVE;
  return { steps, narrow, x, line, top, height: top + HEIGHT + BOTTOM };
}

export const ladderHeight = (ladder: Ladder) => layOut(ladder).height;

/** The year's troughs day by day, the levels between changes, and what each change was worth. */
export function LadderDrawing({
  cards,
  days,
  unnoted,
  chosen,
  goal,
  width,
}: Ladder & {
  /** Days from which on it is another tank, and nobody noted why. */
  unnoted: readonly string[];
  chosen: string | undefined;
  /** What the keeper wants to goal: low at least. */
  goal: number;
}) {
  const { steps, narrow, x, line, top, height } = layOut({ cards, days, width });
  const values = [...days.map((d) => d.ph), goal];
  const y = scaleLinear()
    .domain([Math.min(...values) - 0.03, Math.max(...values) + 0.03])
    .range([top + HEIGHT, top]);
  const ticks = y.ticks(4);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${inWords(steps)}${unnoted.length > 0 ? ` Not in the log: ${unnoted.length}.` : ''}`}
      className="block"
    >
      <Scale ticks={ticks} y={y} left={LEFT} right={width - RIGHT} />
      <line
        x1={LEFT}
        x2={width - RIGHT}
        y1={y(goal)}
        y2={y(goal)}
        stroke="var(--ink)"
        strokeDasharray="1 4"
      />
      {days.map((d) => (
        <circle key={d.day} cx={x(noon(d.day))} cy={y(d.ph)} r="2" fill="var(--soft)" />
      ))}
      {unnoted.map((from) => (
        <g key={from}>
          <line
            x1={x(noon(from))}
            x2={x(noon(from))}
            y1={top}
            y2={top + HEIGHT - 16}
            stroke="var(--soft)"
            strokeDasharray="4 4"
          />
          <text
            {...HALO}
            x={x(noon(from))}
            y={top + HEIGHT - 2}
            textAnchor="middle"
            className="fill-ink text-sm font-bold"
          >
            ?
          </text>
        </g>
      ))}
      {plateaus(steps).map((p, i) => (
        <line
          key={i}
          x1={x(p.from)}
          x2={x(p.until)}
          y1={y(p.ph)}
          y2={y(p.ph)}
          stroke="var(--ink)"
          strokeWidth="3"
        />
      ))}
      {steps.map((r, i) => (
        <Step
          key={r.card.at}
          step={r}
          x={x(r.at)}
          y={y}
          label={top - ABOVE + 2 - (line[i] ?? 0) * LABEL}
          narrow={narrow}
          chosen={r.card.at === chosen}
        />
      ))}
      <TimeTicks
        width={width}
        ticks={x.ticks(narrow ? 3 : 8)}
        x={x}
        y={height - 6}
        says={(tick) => shortDay(tick, 'UTC')}
      />
    </svg>
  );
}

/** From the level before: what is explained in grey, then what is left for this change, to the level after. */
function Step({
  step,
  x,
  y,
  label,
  narrow,
  chosen,
}: {
  step: Rung;
  x: number;
  y: (ph: number) => number;
  label: number;
  narrow: boolean;
  chosen: boolean;
}) {
  const banded = step.card.found?.effect.trough.left.low !== undefined;
  const between = step.after - step.left;
  return (
    <g>
      <line
        x1={x}
        x2={x}
        y1={label + 4}
        y2={y(Math.max(step.before, step.after))}
        stroke="var(--hairline)"
      />
      <line
        x1={x}
        x2={x}
        y1={y(step.before)}
        y2={y(between)}
        stroke="var(--soft)"
        strokeWidth="3"
        strokeOpacity="0.55"
      />
      <line
        x1={x}
        x2={x}
        y1={y(between)}
        y2={y(step.after)}
        stroke={step.left >= 0 ? 'var(--accent)' : 'var(--co2)'}
        strokeWidth="3"
        strokeDasharray={banded ? undefined : '3 3'}
      />
      <text
        {...HALO}
        x={x}
        y={label}
        textAnchor="middle"
        className={`text-sm ${chosen ? 'fill-accent font-bold' : 'fill-ink'}`}
      >
        {step.number}
        {!narrow && ` ${signed(step.left, 2)}`}
      </text>
    </g>
  );
}

const inWords = (steps: readonly Rung[]) =>
  steps.length === 0
    ? 'The low of each day. Not enough data to compare a change yet.'
    : `What each change did to the daily low: ${steps.map((r) => `${r.number}, ${signed(r.left, 2)}`).join('; ')}.`;
