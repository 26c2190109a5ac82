import { scaleLinear, scaleUtc } from 'd3-scale';
import type { EffectCard, Trough } from '../api/types';
import { signed, tickDigits } from '../lib/number';
import { HALO } from './halo';
import { lines, noon, plateaus, rungs, type Rung } from './ladderLayout';

const LEFT = 42;
const RIGHT = 10;
const LABELS = 3;
const LABEL = 20;
const TOP = LABELS * LABEL + 14;
const HEIGHT = 190;
const BOTTOM = 24;
/** As wide as “10 −0.03” is. */
const LABEL_WIDE = 74;

/** The year's troughs day by day, the levels between changes, and what each change was worth. */
export function LadderDrawing({
  cards,
  days,
  chosen,
  goal,
  width,
}: {
  cards: readonly EffectCard[];
  days: readonly Trough[];
  chosen: string | undefined;
  /** What the keeper wants to keep the trough above. */
  goal: number;
  width: number;
}) {
  const steps = rungs(cards);
  const values = [...days.map((d) => d.ph), goal];
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleUtc()
    .domain([noon(days[0]?.day ?? ''), noon(days.at(-1)?.day ?? '')])
    .range([LEFT, width - RIGHT]);
  const y = scaleLinear()
    .domain([Math.min(...values) - 0.03, Math.max(...values) + 0.03])
    .range([TOP + HEIGHT, TOP]);
  const ticks = y.ticks(4);
  const digits = tickDigits(ticks);
  const line = lines(
    steps.map((r) => x(r.at)),
    LABEL_WIDE,
    LABELS,
  );
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={inWords(steps)}
      className="block"
    >
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--hairline)" />
          <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className="fill-soft text-sm">
            {tick.toFixed(digits)}
          </text>
        </g>
      ))}
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
          label={TOP - 12 - (line[i] ?? 0) * LABEL}
          chosen={r.card.at === chosen}
        />
      ))}
      {x.ticks(width < 560 ? 3 : 8).map((tick) => (
        <text
          key={tick.getTime()}
          x={x(tick)}
          y={height - 6}
          textAnchor="middle"
          className="fill-soft text-sm"
        >
          {day.format(tick)}
        </text>
      ))}
      <text
        {...HALO}
        x={width - RIGHT}
        y={y(goal) - 5}
        textAnchor="end"
        className="fill-ink text-sm"
      >
        {goal.toFixed(2)} keep the trough above
      </text>
    </svg>
  );
}

/** From the level before: what is explained in grey, then what is left for the change, to the level after. */
function Step({
  step,
  x,
  y,
  label,
  chosen,
}: {
  step: Rung;
  x: number;
  y: (ph: number) => number;
  label: number;
  chosen: boolean;
}) {
  const told = step.card.found?.effect.trough.left.low !== undefined;
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
        strokeDasharray={told ? undefined : '3 3'}
      />
      <text
        {...HALO}
        x={x}
        y={label}
        textAnchor="middle"
        className={`fill-ink text-sm ${chosen ? 'font-bold underline' : ''}`}
      >
        <tspan className="fill-soft">{step.number} </tspan>
        {signed(step.left, 2)}
      </text>
    </g>
  );
}

const inWords = (steps: readonly Rung[]) =>
  steps.length === 0
    ? 'The trough of each day; no change could be compared yet.'
    : `What each change was worth, trough: ${steps.map((r) => `${r.number}, ${signed(r.left, 2)}`).join('; ')}.`;
