import { useState, type KeyboardEvent } from 'react';
import { clockTime, localInput } from '../lib/time';
import { STEPS, type PlacedBracket } from './dayLanesLayout';
import { PressedName } from './PressedName';

const iso = (ms: number) => new Date(ms).toISOString();

/** What a drag of an edge snaps to, minutes. */
const SNAP = 5;

/** A window above the lanes: its name, and ends that are drawn elsewhere. */
export function WindowBracket({
  bracket: b,
  y,
  drag,
  setDrag,
  minutePx,
  onEdge,
  onWindow,
  at: momentAt,
  zone,
}: {
  bracket: PlacedBracket;
  y: number;
  drag?: { key: string; minutes: number };
  setDrag: (drag?: { key: string; minutes: number }) => void;
  minutePx: number;
  onEdge?: (window: string, which: 'from' | 'until', minutes: number) => void;
  onWindow?: (id: string) => void;
  /** The moment at a place of the axis, milliseconds. */
  at: (px: number) => number;
  zone: string;
}) {
  const keyOf = (which: string) => `${b.id}-${which}-${b.left}`;
  const snapped = (dx: number) => SNAP * Math.round(dx / minutePx / SNAP);
  const moved = (which: 'from' | 'until') =>
    drag?.key === keyOf(which) ? drag.minutes * minutePx : 0;
  const left = b.left + moved('from');
  const right = b.right + moved('until');
  return (
    <g>
      <path d={`M${left} ${y}H${right}`} stroke="var(--ink)" strokeWidth={2} />
      <PressedName
        x={b.nameX}
        y={y - 6}
        anchor="middle"
        name={b.name}
        shown={b.name}
        says={`Change ${b.name}`}
        onPress={onWindow && (() => onWindow(b.id))}
      />
      {(['from', 'until'] as const).map((which) => {
        const there = which === 'from' ? b.begins : b.ends;
        const at = which === 'from' ? left : right;
        if (!there) return null;
        return (
          <g key={which}>
            <path d={`M${at} ${y - 5}v10`} stroke="var(--ink)" strokeWidth={2} />
            {moved(which) !== 0 && (
              <text
                x={at}
                y={y + 18}
                textAnchor="middle"
                className="fill-accent text-sm font-semibold"
              >
                {clockTime(iso(momentAt(at)), zone)}
              </text>
            )}
            {onEdge && (
              <EdgeHandle
                x={at}
                y={y}
                name={`${b.name}, ${which === 'from' ? 'beginning' : 'end'}`}
                moment={momentAt(at)}
                zone={zone}
                onDrag={(dx) => setDrag({ key: keyOf(which), minutes: snapped(dx) })}
                onDrop={(dx) => {
                  setDrag(undefined);
                  if (snapped(dx) !== 0) onEdge(b.id, which, snapped(dx));
                }}
                onStep={(steps) => onEdge(b.id, which, SNAP * steps)}
              />
            )}
          </g>
        );
      })}
    </g>
  );
}

/** What is taken hold of to draw an edge elsewhere; keys move it by five minutes. */
function EdgeHandle({
  x,
  y,
  name,
  moment,
  zone,
  onDrag,
  onDrop,
  onStep,
}: {
  x: number;
  y: number;
  name: string;
  moment: number;
  zone: string;
  onDrag: (dx: number) => void;
  onDrop: (dx: number) => void;
  onStep: (steps: number) => void;
}) {
  const [grip, setGrip] = useState<number>();
  const keys = (e: KeyboardEvent) => {
    const steps = STEPS[e.key];
    if (steps === undefined) return;
    e.preventDefault();
    onStep(steps);
  };
  const [hours = 0, minutes = 0] = localInput(new Date(moment), zone)
    .slice(11)
    .split(':')
    .map(Number);
  return (
    <rect
      x={x - 12}
      y={y - 12}
      width={24}
      height={24}
      fill="transparent"
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={0}
      aria-valuemax={1440}
      aria-valuenow={hours * 60 + minutes}
      aria-valuetext={clockTime(iso(moment), zone)}
      className="cursor-ew-resize touch-none"
      onKeyDown={keys}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setGrip(e.clientX);
      }}
      onPointerMove={(e) => grip !== undefined && onDrag(e.clientX - grip)}
      onPointerUp={(e) => {
        setGrip(undefined);
        if (grip !== undefined) onDrop(e.clientX - grip);
      }}
    />
  );
}
