import type { CarbonateMap, InputUse, Staircase, TankDescription, Units } from '../api/types';
import { ALKALINITY, alkalinityFromMeq } from '../lib/units';
import { MarkShape, markOf } from '../parts/Mark';
import { LEFT, MapFrame, PH_MAX, PH_MIN } from './MapFrame';
import { HALO } from './halo';

/** Room that a label left of the dot needs. */
const LABEL = 130;
/** Closer together than this two labels would touch. */
const LINE = 18;

/** The tank on the map as a dot with its errors, and where it would settle. */
export function CarbonateMapDrawing({
  map,
  staircase,
  band,
  unit,
  width,
}: {
  map: CarbonateMap;
  staircase: Staircase;
  band: TankDescription['band'];
  unit: Units['alkalinity'];
  width: number;
}) {
  const ph = staircase.inputs.find((i) => i.name === 'PH');
  const alkalinity = staircase.inputs.find((i) => i.name === 'ALKALINITY');
  return (
    <MapFrame map={map} band={band} unit={unit} width={width} words={inWords(ph, alkalinity, unit)}>
      {({ x: at, y }) => {
        const outdoors = staircase.outdoor.balancePhNbs;
        const room = staircase.room?.balancePhNbs;
        const close =
          outdoors !== undefined && room !== undefined && Math.abs(y(outdoors) - y(room)) < LINE;
        return (
          ph &&
          alkalinity && (
            <g className="text-ink">
              <Settled
                label="outdoor air"
                ph={outdoors}
                dy={close ? -LINE / 2 : 0}
                at={at(alkalinity.value)}
                y={y}
              />
              <Settled
                label="this room"
                ph={room}
                dy={close ? LINE / 2 : 0}
                at={at(alkalinity.value)}
                y={y}
              />
              <line
                x1={at(alkalinity.value)}
                x2={at(alkalinity.value)}
                y1={y(Math.min(PH_MAX, ph.value + ph.error))}
                y2={y(Math.max(PH_MIN, ph.value - ph.error))}
                stroke="currentColor"
                strokeWidth={2}
              />
              <line
                x1={at(alkalinity.value - alkalinity.error)}
                x2={at(alkalinity.value + alkalinity.error)}
                y1={y(ph.value)}
                y2={y(ph.value)}
                stroke="currentColor"
                strokeWidth={2}
              />
              <MarkShape kind={markOf(ph.method)} x={at(alkalinity.value)} y={y(ph.value)} r={7} />
              <text
                x={beside(at(alkalinity.value)).x}
                y={y(ph.value) + 24}
                textAnchor={beside(at(alkalinity.value)).anchor}
                className="fill-ink text-sm font-bold"
                {...HALO}
              >
                pH {ph.value.toFixed(2)} ± {ph.error.toFixed(2)}
              </text>
            </g>
          )
        );
      }}
    </MapFrame>
  );
}

/** Labels stand left of the dot, or right of it where the left is too narrow. */
const beside = (at: number) =>
  at - LEFT < LABEL
    ? ({ x: at + 14, anchor: 'start' } as const)
    : ({ x: at - 14, anchor: 'end' } as const);

function Settled({
  label,
  ph,
  at,
  y,
  dy,
}: {
  label: string;
  ph: number | undefined;
  at: number;
  /** How far the label is moved out of another's way. */
  dy: number;
  y: (ph: number) => number;
}) {
  if (ph === undefined || ph < PH_MIN || ph > PH_MAX) return null;
  return (
    <g>
      <MarkShape kind="estimated" x={at} y={y(ph)} r={6} />
      <text
        x={beside(at).x}
        y={y(ph) + 5 + dy}
        textAnchor={beside(at).anchor}
        className="fill-ink text-sm"
        {...HALO}
      >
        {label} {ph.toFixed(2)}
      </text>
    </g>
  );
}

function inWords(
  ph: InputUse | undefined,
  alkalinity: InputUse | undefined,
  unit: Units['alkalinity'],
): string {
  if (!ph || !alkalinity)
    return 'Map of alkalinity and pH with lines of equal CO2. The tank is missing here: add a pH and an alkalinity.';
  return `Map of alkalinity and pH with lines of equal CO2. The tank is at pH ${ph.value.toFixed(2)} ± ${ph.error.toFixed(2)} and ${alkalinityFromMeq(alkalinity.value, unit).toFixed(1)} ${ALKALINITY[unit].label}.`;
}
