import { scaleLinear } from 'd3-scale';
import { curveMonotoneX, line } from 'd3-shape';
import type { CarbonateMap, InputUse, Staircase, TankDescription, Units } from '../api/types';
import { ALKALINITY, alkalinityFromMeq } from '../lib/units';
import { MarkShape, markOf } from '../parts/Mark';

const PH_MIN = 7.4;
const PH_MAX = 8.8;
const HEIGHT = 380;
const LEFT = 44;
const RIGHT = 84;
const TOP = 14;
const BOTTOM = 44;
const OUTDOOR_PPM = 420;
/** Room that a label left of the dot needs. */
const LABEL = 160;

/** Alkalinity across, pH up, lines of equal CO2; the tank as a dot with its errors, and where it would settle. */
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
  const points = map.lines[0]?.points ?? [];
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return null;
  const x = scaleLinear()
    .domain([
      alkalinityFromMeq(first.alkalinityMeqPerL, unit),
      alkalinityFromMeq(last.alkalinityMeqPerL, unit),
    ])
    .range([LEFT, width - RIGHT]);
  const y = scaleLinear()
    .domain([PH_MIN, PH_MAX])
    .range([HEIGHT - BOTTOM, TOP]);
  const at = (meq: number) => x(alkalinityFromMeq(meq, unit));
  const path = line<{ alkalinityMeqPerL: number; phNbs: number }>()
    .x((p) => at(p.alkalinityMeqPerL))
    .y((p) => y(p.phNbs))
    .curve(curveMonotoneX);
  const ph = staircase.inputs.find((i) => i.name === 'PH');
  const alkalinity = staircase.inputs.find((i) => i.name === 'ALKALINITY');

  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={inWords(ph, alkalinity, unit)}
      className="block"
    >
      <clipPath id="map-frame">
        <rect x={LEFT} y={TOP} width={width - LEFT - RIGHT} height={HEIGHT - TOP - BOTTOM} />
      </clipPath>
      {y.ticks(7).map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--hairline)" />
          <text x={LEFT - 8} y={y(tick) + 5} textAnchor="end" className="fill-soft text-sm">
            {tick.toFixed(1)}
          </text>
        </g>
      ))}
      {x.ticks(width < 560 ? 4 : 7).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={HEIGHT - BOTTOM + 20}
          textAnchor="middle"
          className="fill-soft text-sm"
        >
          {tick}
        </text>
      ))}
      <text
        x={width - RIGHT}
        y={HEIGHT - 6}
        textAnchor="end"
        className="fill-alk text-sm font-semibold"
      >
        alkalinity, {ALKALINITY[unit].label} →
      </text>
      <text x={LEFT + 6} y={TOP + 12} className="fill-ink text-sm font-semibold">
        ↑ pH
      </text>
      <g clipPath="url(#map-frame)">
        {[band.troughAtLeast, band.peakAtMost].map((ph) => (
          <line
            key={ph}
            x1={LEFT}
            x2={width - RIGHT}
            y1={y(ph)}
            y2={y(ph)}
            stroke="var(--ink)"
            strokeDasharray="1 4"
          />
        ))}
        {map.lines.map((l) => (
          <path
            key={l.ppm}
            d={path(l.points) ?? ''}
            fill="none"
            stroke="var(--co2)"
            strokeWidth={l.ppm === OUTDOOR_PPM ? 2.5 : 1}
            strokeOpacity={l.ppm === OUTDOOR_PPM ? 1 : 0.65}
          />
        ))}
      </g>
      {map.lines.map((l) => {
        const end = l.points.at(-1);
        return (
          end &&
          end.phNbs > PH_MIN &&
          end.phNbs < PH_MAX && (
            <text
              key={l.ppm}
              x={width - RIGHT + 6}
              y={y(end.phNbs) + 5}
              className="fill-co2 text-sm"
            >
              {l.ppm} ppm
            </text>
          )
        );
      })}
      {ph && alkalinity && (
        <g className="text-ink">
          <Settled
            label="with outdoor air"
            ph={staircase.outdoor.balancePhNbs}
            at={at(alkalinity.value)}
            y={y}
          />
          <Settled
            label="with this room"
            ph={staircase.room?.balancePhNbs}
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
            paintOrder="stroke"
            stroke="var(--paper)"
            strokeWidth={5}
          >
            pH {ph.value.toFixed(2)} ± {ph.error.toFixed(2)}
          </text>
        </g>
      )}
    </svg>
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
}: {
  label: string;
  ph: number | undefined;
  at: number;
  y: (ph: number) => number;
}) {
  if (ph === undefined || ph < PH_MIN || ph > PH_MAX) return null;
  return (
    <g>
      <MarkShape kind="estimated" x={at} y={y(ph)} r={6} />
      <text
        x={beside(at).x}
        y={y(ph) + 5}
        textAnchor={beside(at).anchor}
        className="fill-ink text-sm"
        paintOrder="stroke"
        stroke="var(--paper)"
        strokeWidth={5}
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
    return 'Map of alkalinity and pH with lines of equal CO2. The tank is not on it: pH or alkalinity is missing.';
  return `Map of alkalinity and pH with lines of equal CO2. The tank stands at pH ${ph.value.toFixed(2)}, give or take ${ph.error.toFixed(2)}, and ${alkalinityFromMeq(alkalinity.value, unit).toFixed(1)} ${ALKALINITY[unit].label}.`;
}
