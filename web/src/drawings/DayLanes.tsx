import { scaleLinear } from 'd3-scale';
import { useId, useState, type PointerEvent, type ReactNode } from 'react';
import type { ScheduleDay } from '../api/types';
import { clockTime, endOfDay } from '../lib/time';
import { HatchPattern } from './Hatch';
import { Beside, LaneBars } from './LaneBars';
import { PLAYHEAD_HEIGHT, type PlayheadFrame } from './Playhead';
import { PressedName } from './PressedName';
import { WindowBracket } from './WindowBracket';
import { placed } from './dayLanesLayout';

const MINUTE = 60_000;
const NAMES = 176;
const RIGHT = 16;
const WINDOW_ROW = 26;
const LANE = 38;
const NARROW_LANE = 54;
const FOOT = 26;

/** A window as the drawing needs it; one of all day is not drawn. */
export interface DrawnWindow {
  id: string;
  name: string;
  allDay: boolean;
}

interface Props {
  day: ScheduleDay;
  /** Another schedule's same day, drawn thin beneath. */
  beside?: ScheduleDay;
  windows: readonly DrawnWindow[];
  zone: string;
  width: number;
  /** Over all of it; whatever moves it draws nothing else anew. */
  playhead: (frame: PlayheadFrame) => ReactNode;
  /** Wherever nothing else is pressed: the moment there, milliseconds. */
  onAt: (ms: number) => void;
  /** An edge was drawn so many minutes later; without it none can be. */
  onEdge?: (window: string, which: 'from' | 'until', minutes: number) => void;
  /** A window's name was pressed; a lane's likewise. */
  onWindow?: (id: string) => void;
  onLane?: (id: string) => void;
  /** A power cut that is thought of. */
  cut?: { from: string; until?: string };
}

/** A day as stacked lanes over light and dark, its windows named above, conflicts where they happen, and the playhead. */
export function DayLanes(props: Props) {
  const { day, beside, windows, zone, width, playhead, onAt, onEdge, onWindow, onLane, cut } =
    props;
  const hatch = useId();
  const [drag, setDrag] = useState<{ key: string; minutes: number }>();
  const narrow = width < 640;
  const left = narrow ? 12 : NAMES;
  const start = Date.parse(day.from);
  const end = Date.parse(day.until);
  const x = scaleLinear()
    .domain([start, end])
    .range([left, width - RIGHT]);
  const px = (instant: string) => x(Math.min(end, Math.max(start, Date.parse(instant))));
  const brackets = placed(
    windows
      .filter((w) => !w.allDay)
      .flatMap((w) =>
        (day.windows.find((t) => t.id === w.id)?.times ?? []).map((t) => ({
          id: w.id,
          name: w.name,
          left: px(t.from),
          right: px(t.until),
          begins: Date.parse(t.from) > start,
          ends: Date.parse(t.until) < end,
        })),
      ),
    left,
    width - RIGHT,
  );
  const rows = Math.max(1, ...brackets.map((b) => b.row + 1));
  const top = PLAYHEAD_HEIGHT + rows * WINDOW_ROW;
  const lane = narrow ? NARROW_LANE : LANE;
  const bottom = top + day.lanes.length * lane;
  const height = bottom + FOOT;
  const every = narrow ? 6 : 3;
  const middleOf = (i: number) => top + i * lane + (narrow ? lane - 15 : lane / 2);
  const move = (e: PointerEvent<SVGElement>) => {
    const box = e.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!box) return;
    const ms = x.invert(e.clientX - box.left);
    onAt(Math.min(end - 1000, Math.max(start, Math.round(ms / MINUTE) * MINUTE)));
  };
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      aria-label={`The day, ${day.lanes.length} devices`}
      className="block touch-pan-y select-none"
    >
      <defs>
        <HatchPattern id={hatch} colour="var(--ink)" />
      </defs>
      <rect
        x={left}
        y={top}
        width={Math.max(0, width - RIGHT - left)}
        height={bottom - top}
        fill="var(--dark)"
      />
      {day.lit.map((lit) => (
        <rect
          key={lit.from}
          x={px(lit.from)}
          y={top}
          width={px(lit.until) - px(lit.from)}
          height={bottom - top}
          fill="var(--lit)"
        />
      ))}
      {cut && (
        <rect
          x={px(cut.from)}
          y={top}
          width={(cut.until === undefined ? x(end) : px(cut.until)) - px(cut.from)}
          height={bottom - top}
          fill={`url(#${hatch})`}
        >
          <title>Power cut</title>
        </rect>
      )}
      {Array.from(
        { length: 24 / every + 1 },
        (_, i) => start + ((end - start) * i * every) / 24,
      ).map((tick, i, all) => (
        <text
          key={tick}
          x={x(tick)}
          y={height - 6}
          textAnchor={i === 0 ? 'start' : i === all.length - 1 ? 'end' : 'middle'}
          className="fill-soft text-sm"
        >
          {i === all.length - 1 ? endOfDay() : clockTime(new Date(tick).toISOString(), zone)}
        </text>
      ))}
      {day.lanes.map((l, i) => (
        <g key={l.id}>
          <line
            x1={0}
            x2={width - RIGHT}
            y1={top + i * lane}
            y2={top + i * lane}
            stroke="var(--hairline)"
          />
          <PressedName
            x={narrow ? left + 4 : 0}
            y={narrow ? top + i * lane + 19 : middleOf(i) + 5}
            name={l.name}
            shown={shortened(l.name, narrow ? width - 40 : NAMES - 12)}
            says={`${l.name}: add a rule`}
            onPress={onLane && (() => onLane(l.id))}
          />
          <LaneBars
            lane={l}
            y={middleOf(i)}
            px={px}
            scale={(width - RIGHT - left) / (end - start)}
          />
          <Beside
            lane={beside?.lanes.find((b) => b.id === l.id)}
            of={l}
            y={middleOf(i) + 12}
            px={px}
          />
        </g>
      ))}
      <rect
        x={left}
        y={top}
        width={Math.max(0, width - RIGHT - left)}
        height={bottom - top}
        fill="transparent"
        className="cursor-crosshair"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          move(e);
        }}
        onPointerMove={(e) => e.buttons === 1 && move(e)}
      />
      {brackets.map((b) => (
        <WindowBracket
          key={`${b.id}-${b.left}`}
          bracket={b}
          y={PLAYHEAD_HEIGHT + b.row * WINDOW_ROW + 18}
          drag={drag}
          setDrag={setDrag}
          minutePx={((width - RIGHT - left) * MINUTE) / (end - start)}
          onEdge={onEdge}
          onWindow={onWindow}
          at={(edgePx) => x.invert(edgePx)}
          zone={zone}
        />
      ))}
      {day.conflicts.map((c, n) => (
        <g key={n} pointerEvents="none">
          {c.lanes.slice(0, 3).map((id) => {
            const i = day.lanes.findIndex((l) => l.id === id);
            if (i === -1) return null;
            const where = c.from === undefined ? left + 10 : px(c.from);
            return (
              <ConflictMark
                key={id}
                x={Math.min(width - RIGHT - 10, Math.max(left + 10, where))}
                y={middleOf(i)}
                danger={c.forbids}
                because={c.because}
              />
            );
          })}
        </g>
      ))}
      {playhead({ start, end, left, right: width - RIGHT, bottom, zone })}
    </svg>
  );
}

const shortened = (name: string, most: number) => {
  const letters = Math.floor(most / 7);
  return name.length > letters ? `${name.slice(0, letters - 1)}…` : name;
};

function ConflictMark({
  x,
  y,
  danger,
  because,
}: {
  x: number;
  y: number;
  danger: boolean;
  because: string;
}) {
  const colour = danger ? 'var(--danger)' : 'var(--ink)';
  return (
    <g>
      <title>{because}</title>
      {danger ? (
        <path
          d={`M${x} ${y - 12}L${x + 12} ${y + 9}H${x - 12}Z`}
          fill="var(--paper)"
          stroke={colour}
          strokeWidth={2}
        />
      ) : (
        <circle cx={x} cy={y} r={10} fill="var(--paper)" stroke={colour} strokeWidth={2} />
      )}
      <text x={x} y={y + 5} textAnchor="middle" fill={colour} className="text-sm font-bold">
        !
      </text>
    </g>
  );
}
