import { tickDigits } from '../lib/number';

/** The numbers of a scale at its left; with hairlines as far as `right` where that is given. */
export function Scale({
  ticks,
  y,
  left,
  right,
  decimals,
}: {
  ticks: readonly number[];
  y: (value: number) => number;
  left: number;
  right?: number;
  /** At least so many; one where that is not given. */
  decimals?: number;
}) {
  const digits = tickDigits(ticks, decimals);
  return ticks.map((tick) => (
    <g key={tick}>
      {right !== undefined && (
        <line x1={left} x2={right} y1={y(tick)} y2={y(tick)} stroke="var(--hairline)" />
      )}
      <text x={left - 6} y={y(tick) + 4} textAnchor="end" className="fill-soft text-sm">
        {tick.toFixed(digits).replace('-', '−')}
      </text>
    </g>
  ));
}
