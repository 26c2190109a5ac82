import { scaleLinear } from 'd3-scale';
import type { Staircase } from '../api/types';
import { signed, toTen } from '../lib/number';

const HEIGHT = 190;
const TOP = 34;
const FLOOR = HEIGHT - 22;

const PLACES = [
  { key: 'outdoor', name: 'outdoors', adds: '' },
  { key: 'room', name: 'room', adds: 'from the room' },
  { key: 'water', name: 'water', adds: 'from the tank' },
] as const;

/** The staircase at a glance: CO2 outdoors, in the room and in the water, and what each step adds. */
export function SmallStaircase({ staircase, width }: { staircase: Staircase; width: number }) {
  const levels = PLACES.map((place) => ({ ...place, ppm: staircase[place.key]?.ppm.value }));
  const most = Math.max(400, ...levels.map((l) => l.ppm ?? 0));
  const y = scaleLinear().domain([0, most]).range([FLOOR, TOP]);
  const column = width / levels.length;
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`CO2: ${levels.map((l) => `${l.name} ${l.ppm === undefined ? 'not measured' : `${toTen(l.ppm)} ppm`}`).join(', ')}.`}
      className="block"
    >
      {levels.map((level, i) => {
        const x = i * column;
        const before = levels[i - 1]?.ppm;
        const top = level.ppm === undefined ? FLOOR : y(level.ppm);
        const rise =
          level.ppm !== undefined && before !== undefined ? level.ppm - before : undefined;
        const inside = FLOOR - top > 44;
        return (
          <g key={level.key}>
            {level.ppm !== undefined && (
              <>
                <rect x={x} y={top} width={column} height={FLOOR - top} fill="var(--co2-wash)" />
                <rect x={x} y={top - 1.5} width={column} height={3} fill="var(--co2)" />
              </>
            )}
            {before !== undefined && level.ppm !== undefined && (
              <rect
                x={x - 1.5}
                y={Math.min(top, y(before)) - 1.5}
                width={3}
                height={Math.abs(top - y(before)) + 3}
                fill="var(--co2)"
              />
            )}
            <text x={x + 8} y={top - 8} className="fill-ink">
              {level.ppm === undefined ? (
                <tspan className="fill-soft text-sm">not measured</tspan>
              ) : (
                <>
                  <tspan className="text-lg font-bold">{toTen(level.ppm)}</tspan>
                  <tspan dx={4} className="fill-soft text-sm">
                    ppm
                  </tspan>
                </>
              )}
            </text>
            {rise !== undefined && inside && (
              <text x={x + 8} y={top + 20} className="text-sm" fill="var(--co2)">
                <tspan className="font-bold">{signed(Number(toTen(rise)))}</tspan>
                <tspan x={x + 8} dy={17}>
                  {level.adds}
                </tspan>
              </text>
            )}
            <text x={x + 8} y={HEIGHT - 5} className="fill-soft text-sm">
              {level.name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
