import { scaleLinear, scaleUtc } from 'd3-scale';
import { noon } from './ladderLayout';
import { Scale } from './Scale';
import { TimeTicks } from './TimeTicks';

const HEIGHT = 120;
const LEFT = 44;
const RIGHT = 12;
const TOP = 10;
const BOTTOM = 24;

/** What one day alone shows of a size: a dot for each, a line where it changed. */
export function DailySizeDrawing({
  days,
  from,
  usual,
  says,
  width,
}: {
  days: readonly { day: string; size: number }[];
  /** The first day that shows the change. */
  from: string;
  /** The size before it. */
  usual: number;
  /** All of it in a sentence. */
  says: string;
  width: number;
}) {
  const sizes = [...days.map((d) => d.size), usual];
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleUtc()
    .domain([noon(days[0]?.day ?? from), noon(days.at(-1)?.day ?? from)])
    .range([LEFT + 4, width - RIGHT]);
  const y = scaleLinear()
    .domain([Math.min(...sizes), Math.max(...sizes)])
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
      <line
        x1={LEFT}
        x2={width - RIGHT}
        y1={y(usual)}
        y2={y(usual)}
        stroke="var(--ink)"
        strokeDasharray="1 4"
      />
      <line x1={x(noon(from))} x2={x(noon(from))} y1={TOP} y2={TOP + HEIGHT} stroke="var(--soft)" />
      {days.map((d) => (
        <circle
          key={d.day}
          cx={x(noon(d.day))}
          cy={y(d.size)}
          r="3.5"
          fill={d.day < from ? 'var(--soft)' : 'var(--co2)'}
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
