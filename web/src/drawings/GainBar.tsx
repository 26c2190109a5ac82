import { scaleLinear } from 'd3-scale';

const WIDTH = 84;
const HEIGHT = 16;

/** What a change would gain in nine of ten models, on one scale for all of a list; the hairline is no gain. */
export function GainBar({
  low,
  high,
  most,
  colour,
}: {
  low: number;
  high: number;
  /** The highest gain of the list. */
  most: number;
  colour: string;
}) {
  const x = scaleLinear()
    .domain([-0.05, Math.max(0.1, most)])
    .range([0, WIDTH])
    .clamp(true);
  return (
    <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <line x1={x(0)} x2={x(0)} y1={1} y2={HEIGHT - 1} stroke="var(--hairline)" strokeWidth={2} />
      <rect
        x={x(low)}
        y={5}
        width={Math.max(3, x(high) - x(low))}
        height={6}
        rx={3}
        fill={colour}
      />
    </svg>
  );
}
