import { scaleLinear } from 'd3-scale';
import type { Supply } from '../api/types';

const HEIGHT = 34;
const MIDDLE = 15;
const EDGE = 8;
/** So far ahead it is shown. */
export const STOCK_DAYS = 180;

/** How long it lasts, from today on: surely, and at the longest; the triangle is when it is ordered. */
export function SupplyDrawing({
  supply,
  orderInDays,
  width,
}: {
  supply: Supply;
  orderInDays: number;
  width: number;
}) {
  const left = supply.daysLeft;
  if (!left) return null;
  const x = scaleLinear()
    .domain([0, STOCK_DAYS])
    .range([EDGE, width - EDGE])
    .clamp(true);
  const ticks = [30, 60, 90, 120, 150, 180];
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`Lasts ${Math.floor(left.low)}–${Math.ceil(left.high)} days. Order in ${Math.max(0, orderInDays)} days.`}
      className="block"
    >
      <line x1={EDGE} x2={width - EDGE} y1={MIDDLE} y2={MIDDLE} stroke="var(--hairline)" />
      <rect
        x={EDGE}
        y={MIDDLE - 4}
        width={Math.max(1, x(left.low) - EDGE)}
        height={8}
        fill="var(--ink)"
        opacity={0.75}
      />
      <rect
        x={x(left.low)}
        y={MIDDLE - 4}
        width={Math.max(0, x(left.high) - x(left.low))}
        height={8}
        fill="var(--ink)"
        opacity={0.22}
      />
      {ticks.map((t) => (
        <text
          key={t}
          x={x(t)}
          y={HEIGHT - 2}
          textAnchor={t === STOCK_DAYS ? 'end' : 'middle'}
          className="fill-soft text-[11px]"
        >
          {t} d
        </text>
      ))}
      <path
        d={`M${x(Math.max(0, orderInDays))} ${MIDDLE + 5} l-6 -11 h12 Z`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
    </svg>
  );
}
