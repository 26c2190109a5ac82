import { scaleUtc } from 'd3-scale';
import type { Task } from '../api/types';
import { plainDay } from '../lib/time';

const HEIGHT = 34;
const MIDDLE = 17;
const EDGE = 8;
const DAY_MS = 86_400_000;
/** So far back it is shown, and so far ahead. */
export const BACK_DAYS = 120;
export const AHEAD_DAYS = 45;

const at = (moment: string) => Date.parse(moment);
const noon = (day: string) => at(`${day}T12:00:00Z`);

/** When something was done, what it looked like then, and when it is due again. */
export function UpkeepDrawing({ task, now, width }: { task: Task; now: number; width: number }) {
  const x = scaleUtc()
    .domain([now - BACK_DAYS * DAY_MS, now + AHEAD_DAYS * DAY_MS])
    .range([EDGE, width - EDGE])
    .clamp(true);
  const last = task.done[0];
  const due = noon(task.due);
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`${last ? `Done ${task.done.length} times, last on ${plainDay(last.at.slice(0, 10))}` : 'Never done'}; due ${plainDay(task.due)}.`}
      className="block"
    >
      <line x1={EDGE} x2={width - EDGE} y1={MIDDLE} y2={MIDDLE} stroke="var(--hairline)" />
      {last && (
        <line
          x1={x(at(last.at))}
          x2={x(Math.min(due, now))}
          y1={MIDDLE}
          y2={MIDDLE}
          stroke="var(--ink)"
          strokeWidth="2"
        />
      )}
      {due < now && (
        <line x1={x(due)} x2={x(now)} y1={MIDDLE} y2={MIDDLE} stroke="var(--ink)" strokeWidth="5" />
      )}
      <line x1={x(now)} x2={x(now)} y1={2} y2={HEIGHT - 2} stroke="var(--accent)" strokeWidth="2" />
      <path
        d={`M${x(due)} ${MIDDLE + 8} l-6 -10 h12 Z`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      {task.done
        .filter((d) => at(d.at) >= now - BACK_DAYS * DAY_MS)
        .map((d) => (
          <circle
            key={d.id}
            cx={x(at(d.at))}
            cy={MIDDLE}
            r={d.found === 'DIRTY' ? 5.5 : 4.5}
            fill={FILL[d.found ?? 'UNSAID']}
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        ))}
    </svg>
  );
}

const FILL = {
  CLEAN: 'var(--paper)',
  SOME: 'var(--soft)',
  DIRTY: 'var(--ink)',
  UNSAID: 'var(--hairline)',
} as const;
