import { scaleBand, scaleLinear } from 'd3-scale';
import type { ForecastDay } from '../api/types';
import { plainDay } from '../lib/time';
import { MarkShape } from '../parts/Mark';
import { HatchPattern } from './Hatch';
import { Scale } from './Scale';

const LEFT = 46;
const RIGHT = 10;
const TOP = 10;
const HEIGHT = 170;
const BOTTOM = 24;
const WIDEST = 28;

/** Day by day, hatched what was forecast of trough and peak, and as a dot what came. */
export function ScoreDrawing({ days, width }: { days: readonly ForecastDay[]; width: number }) {
  const values = days.flatMap((d) => [
    d.trough.low,
    d.peak.high,
    d.cameTrough ?? d.trough.value,
    d.camePeak ?? d.peak.value,
  ]);
  const height = TOP + HEIGHT + BOTTOM;
  const x = scaleBand()
    .domain(days.map((d) => d.day))
    .range([LEFT, width - RIGHT])
    .paddingInner(0.35);
  const y = scaleLinear()
    .domain([Math.min(...values) - 0.02, Math.max(...values) + 0.02])
    .range([TOP + HEIGHT, TOP]);
  const ticks = y.ticks(5);
  const wide = Math.min(WIDEST, x.bandwidth());
  const came = days.filter((d) => d.cameTrough !== undefined);
  const every = Math.ceil(days.length / Math.max(1, Math.floor(width / 130)));
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Forecasts for ${days.length} days. ${came.length} of them are over.`}
      className="block"
    >
      <defs>
        <HatchPattern id="score-band" colour="var(--ink)" />
      </defs>
      <Scale ticks={ticks} y={y} left={LEFT} right={width - RIGHT} />
      {days.map((d, i) => {
        const middle = (x(d.day) ?? LEFT) + x.bandwidth() / 2;
        return (
          <g key={d.day} color="var(--ink)">
            {[d.trough, d.peak].map((band, k) => (
              <rect
                key={k}
                x={middle - wide / 2}
                y={y(band.high)}
                width={wide}
                height={Math.max(1, y(band.low) - y(band.high))}
                fill="url(#score-band)"
                stroke="var(--soft)"
                strokeWidth="0.7"
              />
            ))}
            {d.cameTrough !== undefined && (
              <MarkShape kind="measured" x={middle} y={y(d.cameTrough)} r={3.5} />
            )}
            {d.camePeak !== undefined && (
              <MarkShape kind="measured" x={middle} y={y(d.camePeak)} r={3.5} />
            )}
            {i % every === 0 && (
              <text x={middle} y={height - 6} textAnchor="middle" className="fill-soft text-sm">
                {plainDay(d.day).replace(/ \d{4}$/, '')}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
