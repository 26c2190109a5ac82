import type { KeyboardEvent } from 'react';
import { clockTime } from '../lib/time';
import { STEPS } from './dayLanesLayout';

const MINUTE = 60_000;
/** The room that it takes above the drawing. */
export const PLAYHEAD_HEIGHT = 24;
const HEAD = PLAYHEAD_HEIGHT;

/** Seconds with a Shift, minutes without, hours by the page. */
function stepped(e: KeyboardEvent, at: number, start: number, end: number): number | undefined {
  if (e.key === 'Home') return start;
  if (e.key === 'End') return end - 1000;
  const steps = STEPS[e.key];
  if (steps === undefined) return undefined;
  const page = Math.abs(steps) > 1;
  return at + Math.sign(steps) * (page ? 60 * MINUTE : e.shiftKey ? 1000 : MINUTE);
}

/** The day that it goes over, milliseconds, and where that is drawn. */
export interface PlayheadFrame {
  start: number;
  end: number;
  left: number;
  right: number;
  bottom: number;
  zone: string;
}

/** The moment that is looked at. */
export function Playhead({
  at,
  start,
  end,
  left,
  right,
  bottom,
  zone,
  onAt,
}: PlayheadFrame & { at: number; onAt: (ms: number) => void }) {
  const within = Math.min(end, Math.max(start, at));
  const x = left + ((within - start) / (end - start)) * (right - left);
  const says = clockTime(new Date(at).toISOString(), zone);
  const keys = (e: KeyboardEvent) => {
    const to = stepped(e, at, start, end);
    if (to === undefined) return;
    e.preventDefault();
    onAt(Math.min(end - 1000, Math.max(start, to)));
  };
  return (
    <g>
      <line
        x1={x}
        x2={x}
        y1={HEAD - 6}
        y2={bottom}
        stroke="var(--accent)"
        strokeWidth={2}
        pointerEvents="none"
      />
      <path d={`M${x - 7} ${HEAD - 16}h14l-7 11z`} fill="var(--accent)" pointerEvents="none" />
      <text
        x={x > right - 60 ? x - 12 : x + 12}
        y={HEAD - 6}
        textAnchor={x > right - 60 ? 'end' : 'start'}
        className="fill-accent text-sm font-semibold"
      >
        {says}
      </text>
      <rect
        x={x - 12}
        y={0}
        width={24}
        height={HEAD}
        fill="transparent"
        role="slider"
        tabIndex={0}
        aria-label="Playhead"
        aria-valuemin={0}
        aria-valuemax={Math.round((end - start) / MINUTE)}
        aria-valuenow={Math.round((at - start) / MINUTE)}
        aria-valuetext={says}
        className="cursor-ew-resize"
        onKeyDown={keys}
      />
    </g>
  );
}
