import { scaleLinear, scaleUtc } from 'd3-scale';
import { noon } from './ladderLayout';
import { Scale } from './Scale';
import { TimeTicks } from './TimeTicks';

const HEIGHT = 130;
const LEFT = 44;
const RIGHT = 12;
const TOP = 10;
const BOTTOM = 24;

/** Months of something that was measured now and then: a dot for each, a line where it rose or fell. */
export function CourseDrawing({
  measured,
  drifts,
  says,
  width,
}: {
  measured: readonly { at: string; value: number }[];
  drifts: readonly { from: string; until: string; begins: number; ends: number }[];
  /** All of it in a sentence. */
  says: string;
  width: number;
}) {
  const values = [...measured.map((m) => m.value), ...drifts.flatMap((d) => [d.begins, d.ends])];
  const height = TOP + HEIGHT + BOTTOM;
  const times = measured.map((m) => Date.parse(m.at));
  const x = scaleUtc()
    .domain([Math.min(...times), Math.max(...times)])
    .range([LEFT + 4, width - RIGHT]);
  const y = scaleLinear()
    .domain([Math.min(...values), Math.max(...values)])
    .nice(4)
    .range([TOP + HEIGHT, TOP]);
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={says}
      className="block"
    >
      <Scale ticks={y.ticks(4)} y={y} left={LEFT} right={width - RIGHT} decimals={0} />
      {drifts.map((d) => (
        <path
          key={d.from}
          d={`M${x(noon(d.from))} ${y(d.begins)}L${x(noon(d.until))} ${y(d.ends)}`}
          stroke="var(--co2)"
          strokeWidth="3"
          strokeLinecap="round"
        />
      ))}
      {measured.map((m) => (
        <circle
          key={m.at}
          cx={x(Date.parse(m.at))}
          cy={y(m.value)}
          r="3.5"
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ))}
      <TimeTicks
        ticks={x.ticks(width < 500 ? 3 : 6)}
        x={x}
        y={height - 6}
        says={(tick) => day.format(tick)}
      />
    </svg>
  );
}
