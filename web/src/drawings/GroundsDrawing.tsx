import { scaleLinear } from 'd3-scale';
import type { Suspect } from '../api/types';

const HEIGHT = 22;
const BAR = 8;
const EDGE = 6;
/** Beyond this, in natural logarithms, more of it changes nobody's mind. */
const MOST = 6;

/** What speaks against a suspect, to the left, and for it, to the right; where the mark stands both are summed up. */
export function GroundsDrawing({ grounds, width }: { grounds: Suspect['grounds']; width: number }) {
  const sum = (which: (weight: number) => boolean) =>
    grounds
      .map((g) => g.weight)
      .filter(which)
      .reduce((a, b) => a + b, 0);
  const against = sum((w) => w < 0);
  const speaks = sum((w) => w > 0);
  const x = scaleLinear()
    .domain([-MOST, MOST])
    .range([EDGE, width - EDGE])
    .clamp(true);
  const middle = HEIGHT / 2;
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={weighs(against, speaks)}
      className="block shrink-0"
    >
      <path d={`M${x(0)} 0V${HEIGHT}`} stroke="var(--soft)" />
      <rect
        x={x(against)}
        y={middle - BAR / 2}
        width={x(0) - x(against)}
        height={BAR}
        fill="var(--soft)"
        fillOpacity="0.45"
      />
      <rect
        x={x(0)}
        y={middle - BAR / 2}
        width={x(speaks) - x(0)}
        height={BAR}
        fill="var(--accent)"
      />
      <circle
        cx={x(against + speaks)}
        cy={middle}
        r="4"
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
    </svg>
  );
}

function weighs(against: number, speaks: number): string {
  if (against === 0 && speaks === 0) return 'No evidence for or against this.';
  if (against === 0) return 'All the evidence points to this.';
  if (speaks === 0) return 'All the evidence points away from this.';
  return speaks + against > 0
    ? 'More evidence for this than against.'
    : 'More evidence against this than for.';
}
