import type { Trough } from '../api/types';
import { HALO } from './halo';
import { noon } from './ladderLayout';
import { OverTime } from './OverTime';

/** Daily lows day by day against the goal; the days since it is low are shaded. */
export function LowsDrawing({
  days,
  since,
  goal,
  width,
}: {
  days: readonly Trough[];
  since?: string;
  goal: number;
  width: number;
}) {
  const lows = days.map((d) => d.ph);
  const low = days.filter((d) => since !== undefined && d.day >= since);
  return (
    <OverTime
      times={days.map((d) => noon(d.day))}
      values={[...lows, goal]}
      says={`Daily lows of ${days.length} days, ${Math.min(...lows).toFixed(2)} to ${Math.max(...lows).toFixed(2)}; your goal is ${goal.toFixed(2)}.${since === undefined ? '' : ` Lower on the last ${low.length} of them.`}`}
      width={width}
    >
      {(x, y, { left, right, top, bottom }) => (
        <>
          {since !== undefined && (
            <rect
              x={Math.max(left, x(noon(since)))}
              y={top}
              width={right - Math.max(left, x(noon(since)))}
              height={bottom - top}
              fill="var(--co2-wash)"
            />
          )}
          <line
            x1={left}
            x2={right}
            y1={y(goal)}
            y2={y(goal)}
            stroke="var(--ink)"
            strokeDasharray="1 4"
          />
          <text {...HALO} x={left + 6} y={y(goal) - 6} className="fill-soft text-sm">
            goal
          </text>
          {days.map((d) => (
            <circle
              key={d.day}
              cx={x(noon(d.day))}
              cy={y(d.ph)}
              r="3.5"
              fill={since !== undefined && d.day >= since ? 'var(--co2)' : 'var(--ink)'}
            />
          ))}
        </>
      )}
    </OverTime>
  );
}
