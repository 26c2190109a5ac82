import { scaleLinear } from 'd3-scale';
import { useId, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { LaneDay, LanePiece, ProgrammeDay } from '../api/types';
import { clockTime } from '../lib/time';
import { HatchPattern } from './Hatch';
import { placed, turns, type PlacedBracket } from './dayLanesLayout';

const MINUTE = 60_000;
/** What a drag of an edge snaps to, minutes. */
const SNAP = 5;
const NAMES = 176;
const RIGHT = 16;
const WINDOW_ROW = 26;
const LANE = 38;
const NARROW_LANE = 54;
const FOOT = 26;
const HEAD = 24;

/** A window as the drawing needs it: what it is called, and whether its edges may be drawn elsewhere. */
export interface DrawnWindow {
  id: string;
  name: string;
  allDay: boolean;
}

interface Props {
  day: ProgrammeDay;
  /** Another programme's same day, drawn thin beneath. */
  beside?: ProgrammeDay;
  windows: readonly DrawnWindow[];
  zone: string;
  width: number;
  /** The playhead, milliseconds. */
  at: number;
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
  const { day, beside, windows, zone, width, at, onAt, onEdge, onWindow, onLane, cut } = props;
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
  const top = HEAD + rows * WINDOW_ROW;
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
      aria-label={`The day, ${day.lanes.length} lanes`}
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
          <title>The power is away</title>
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
          {i === all.length - 1 ? '24:00' : clockTime(new Date(tick).toISOString(), zone)}
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
          <Name
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
      {/* Wherever nothing else is pressed, the playhead comes there. */}
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
          y={HEAD + b.row * WINDOW_ROW + 18}
          drag={drag}
          setDrag={setDrag}
          minutePx={((width - RIGHT - left) * MINUTE) / (end - start)}
          onEdge={onEdge}
          onWindow={onWindow}
          says={(edgePx) => clockTime(new Date(x.invert(edgePx)).toISOString(), zone)}
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
      <Playhead
        x={x(Math.min(end, Math.max(start, at)))}
        at={at}
        start={start}
        end={end}
        bottom={bottom}
        zone={zone}
        onAt={onAt}
        right={width - RIGHT}
      />
    </svg>
  );
}

const shortened = (name: string, most: number) => {
  const letters = Math.floor(most / 7);
  return name.length > letters ? `${name.slice(0, letters - 1)}…` : name;
};

/** A name that may be pressed. */
function Name({
  x,
  y,
  anchor = 'start',
  name,
  shown,
  says,
  onPress,
}: {
  x: number;
  y: number;
  anchor?: 'start' | 'middle';
  name: string;
  shown: string;
  says: string;
  onPress?: () => void;
}) {
  const text = (
    <text x={x} y={y} textAnchor={anchor} className="fill-ink text-sm">
      {shown}
      {shown !== name && <title>{name}</title>}
    </text>
  );
  if (!onPress) return text;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={says}
      className="cursor-pointer underline-offset-4 hover:underline"
      onClick={onPress}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        onPress();
      }}
    >
      {text}
    </g>
  );
}

const COLOUR: Record<LaneDay['kind'], string> = {
  LAMPS: 'var(--alk)',
  REFUGIUM: 'var(--alk)',
  RETURN_PUMP: 'var(--ink)',
  FLOW_PUMP: 'var(--ink)',
  SKIMMER: 'var(--ink)',
  AIR_PUMP: 'var(--o2)',
  AIR_PATH: 'var(--o2)',
  DOSER: 'var(--alk)',
  FAN: 'var(--ink)',
};

function LaneBars({
  lane,
  y,
  px,
  scale,
}: {
  lane: LaneDay;
  y: number;
  px: (instant: string) => number;
  /** Pixels a millisecond. */
  scale: number;
}) {
  return (
    <g>
      {lane.pieces.map((piece) => (
        <Bar key={piece.from} lane={lane} piece={piece} y={y} px={px} scale={scale} />
      ))}
      {lane.doses.map((dose) => (
        <line
          key={dose}
          x1={px(dose)}
          x2={px(dose)}
          y1={y - 10}
          y2={y + 10}
          stroke="var(--alk)"
          strokeWidth={2.4}
        />
      ))}
    </g>
  );
}

const LED: Record<string, string> = {
  MEDIA: 'through media',
  LED_BACK: 'led back',
  FRESH: 'fresh',
};

function Bar({
  lane,
  piece,
  y,
  px,
  scale,
}: {
  lane: LaneDay;
  piece: LanePiece;
  y: number;
  px: (instant: string) => number;
  scale: number;
}) {
  const { does, share = 1, onS = 0, offS = 0 } = piece.winner.state;
  const from = px(piece.from);
  const width = px(piece.until) - from;
  if (does === 'OFF' || width <= 0) return null;
  const led = LED[does];
  const colour = does === 'MEDIA' || does === 'LED_BACK' ? 'var(--co2)' : COLOUR[lane.kind];
  const thick = lane.kind === 'DOSER' ? 4 : does === 'SHARE' ? 4 + 12 * share : 16;
  const each =
    does === 'WAVE'
      ? turns(
          { sinceMs: Date.parse(piece.winner.since), onS, offS },
          Date.parse(piece.from),
          Date.parse(piece.until),
          scale,
        )
      : undefined;
  if (each) {
    return each.map((turn) => (
      <rect
        key={turn.from}
        x={from + (turn.from - Date.parse(piece.from)) * scale}
        y={y - 8}
        width={Math.max(0.6, (turn.until - turn.from) * scale)}
        height={16}
        fill={colour}
        fillOpacity={0.85}
      />
    ));
  }
  return (
    <g>
      <rect
        x={from}
        y={y - thick / 2}
        width={Math.max(1.5, width - 0.8)}
        height={thick}
        rx={1.5}
        fill={colour}
        fillOpacity={lane.kind === 'DOSER' ? 0.3 : does === 'WAVE' ? 0.45 : 0.78}
      />
      {led && width > led.length * 8 && (
        <text x={from + 7} y={y + 4.5} fontSize={12} fill="var(--paper)" pointerEvents="none">
          {led}
        </text>
      )}
    </g>
  );
}

/** Where another programme does otherwise. */
function Beside({
  lane,
  of,
  y,
  px,
}: {
  lane?: LaneDay;
  of: LaneDay;
  y: number;
  px: (instant: string) => number;
}) {
  if (!lane) return null;
  const plain = (l: LaneDay) => l.pieces.map((p) => [p.from, p.winner.state]);
  if (JSON.stringify(plain(lane)) === JSON.stringify(plain(of))) return null;
  return lane.pieces
    .filter((p) => p.winner.state.does !== 'OFF')
    .map((p) => (
      <line
        key={p.from}
        x1={px(p.from)}
        x2={px(p.until)}
        y1={y}
        y2={y}
        stroke="var(--soft)"
        strokeWidth={2}
        strokeDasharray={p.winner.state.does === 'ON' ? undefined : '4 3'}
      />
    ));
}

function WindowBracket({
  bracket: b,
  y,
  drag,
  setDrag,
  minutePx,
  onEdge,
  onWindow,
  says,
}: {
  bracket: PlacedBracket;
  y: number;
  drag?: { key: string; minutes: number };
  setDrag: (drag?: { key: string; minutes: number }) => void;
  minutePx: number;
  onEdge?: Props['onEdge'];
  onWindow?: Props['onWindow'];
  says: (px: number) => string;
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
      <Name
        x={b.nameX}
        y={y - 6}
        anchor="middle"
        name={b.name}
        shown={b.name}
        says={`${b.name}: change it`}
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
                {says(at)}
              </text>
            )}
            {onEdge && (
              <EdgeHandle
                x={at}
                y={y}
                name={`${b.name}, ${which === 'from' ? 'beginning' : 'end'}`}
                says={says(at)}
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
  says,
  onDrag,
  onDrop,
  onStep,
}: {
  x: number;
  y: number;
  name: string;
  says: string;
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
  const [hours = 0, minutes = 0] = says.split(':').map(Number);
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
      aria-valuetext={says}
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

const STEPS: Record<string, number> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: -12,
  PageUp: 12,
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

/** Seconds with a Shift, minutes without, hours by the page. */
function stepped(e: KeyboardEvent, at: number, start: number, end: number): number | undefined {
  if (e.key === 'Home') return start;
  if (e.key === 'End') return end - 1000;
  const steps = STEPS[e.key];
  if (steps === undefined) return undefined;
  const page = Math.abs(steps) > 1;
  return at + Math.sign(steps) * (page ? 60 * MINUTE : e.shiftKey ? 1000 : MINUTE);
}

function Playhead({
  x,
  at,
  start,
  end,
  bottom,
  zone,
  onAt,
  right,
}: {
  x: number;
  at: number;
  start: number;
  end: number;
  bottom: number;
  zone: string;
  onAt: (ms: number) => void;
  right: number;
}) {
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
