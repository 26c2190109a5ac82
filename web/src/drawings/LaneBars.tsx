import type { LaneDay, LanePiece } from '../api/types';
import { turns } from './dayLanesLayout';

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

/** What a lane does over the day: thick as it runs, a wave turn by turn, each dose a stroke. */
export function LaneBars({
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
  RECIRCULATED: 'recirculated',
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
  const colour = does === 'MEDIA' || does === 'RECIRCULATED' ? 'var(--co2)' : COLOUR[lane.kind];
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

/** Where another schedule does otherwise. */
export function Beside({
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
