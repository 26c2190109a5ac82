import type { CarbonateMap, TankDescription, Units } from '../api/types';
import { MarkShape } from '../parts/Mark';
import { MapFrame, PH_MAX, PH_MIN } from './MapFrame';

/** Where a set takes the settled trough. */
export interface Arrow {
  name: string;
  meqPerL: number;
  ph: number;
}

/** The settled trough on the map, and an arrow for each set of remedies: along a line the air stays, across it changes. */
export function RemedyMapDrawing({
  map,
  from,
  arrows,
  band,
  unit,
  width,
}: {
  map: CarbonateMap;
  from: { meqPerL: number; ph: number };
  arrows: Arrow[];
  band: TankDescription['band'];
  unit: Units['alkalinity'];
  width: number;
}) {
  const words = `Map of alkalinity and pH. The daily low is at ${from.ph.toFixed(2)}. ${arrows
    .map((a) => `${a.name} takes it to ${a.ph.toFixed(2)}.`)
    .join(' ')}`;
  const inside = (ph: number) => Math.min(PH_MAX, Math.max(PH_MIN, ph));
  return (
    <MapFrame map={map} band={band} unit={unit} width={width} words={words}>
      {({ x, y }) => (
        <g className="text-ink">
          <defs>
            <marker id="arrow-tip" markerWidth="8" markerHeight="8" refX="6" refY="3" orient="auto">
              <path d="M0 0L7 3L0 6z" fill="var(--accent)" />
            </marker>
          </defs>
          {arrows.map((arrow, i) => {
            const fan = (i - (arrows.length - 1) / 2) * 14;
            const end = { x: x(arrow.meqPerL) + fan, y: y(inside(arrow.ph)) };
            return (
              <g key={arrow.name}>
                <line
                  x1={x(from.meqPerL)}
                  y1={y(from.ph)}
                  x2={end.x}
                  y2={end.y}
                  stroke="var(--accent)"
                  strokeWidth="2.4"
                  markerEnd="url(#arrow-tip)"
                />
                <text
                  x={end.x}
                  y={end.y + (arrow.ph >= from.ph ? -8 : 20)}
                  textAnchor="middle"
                  className="fill-ink text-sm font-bold"
                  paintOrder="stroke"
                  stroke="var(--paper)"
                  strokeWidth={4}
                >
                  {arrow.name}
                </text>
              </g>
            );
          })}
          <MarkShape kind="estimated" x={x(from.meqPerL)} y={y(from.ph)} r={7} />
        </g>
      )}
    </MapFrame>
  );
}
