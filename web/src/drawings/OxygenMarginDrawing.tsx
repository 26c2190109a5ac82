import { scaleLinear } from 'd3-scale';
import type { Night } from '../api/types';
import { HALO } from './halo';

const ROW = 46;
const TOP = 34;
const BOTTOM = 28;

export const STRAIN: Record<Night['strain'], string> = {
  AS_IT_IS: 'current setup',
  HOTTEST_DAY: 'hottest day, 4 °C warmer',
  SKIMMER_OFF: 'skimmer off',
  HOTTEST_DAY_SKIMMER_OFF: 'hottest day, skimmer off',
};

/** The same in a sentence. */
export const UNDER: Record<Night['strain'], string> = {
  AS_IT_IS: 'on an ordinary night',
  HOTTEST_DAY: 'on the hottest day',
  SKIMMER_OFF: 'with the skimmer off',
  HOTTEST_DAY_SKIMMER_OFF: 'on the hottest day with the skimmer off',
};

/** Each night's lowest oxygen on one scale, with the lines that it should stay above. */
export function OxygenMarginDrawing({
  nights,
  caution,
  danger,
  width,
}: {
  nights: Night[];
  caution: number;
  danger: number;
  width: number;
}) {
  const narrow = width < 560;
  const left = narrow ? 12 : 210;
  const height = TOP + nights.length * ROW + BOTTOM;
  const x = scaleLinear()
    .domain([0, Math.max(8, ...nights.map((n) => n.lowestMgPerL + 0.5))])
    .range([left, width - 60]);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Lowest oxygen: ${nights.map((n) => `${STRAIN[n.strain]} ${n.lowestMgPerL.toFixed(1)} mg/L`).join(', ')}.`}
      className="block"
    >
      {[
        { at: caution, word: 'caution' },
        { at: danger, word: 'danger' },
      ].map((line) => (
        <g key={line.word}>
          <line
            x1={x(line.at)}
            x2={x(line.at)}
            y1={TOP - 10}
            y2={height - BOTTOM}
            stroke={line.word === 'danger' ? 'var(--danger)' : 'var(--ink)'}
            strokeDasharray={line.word === 'danger' ? undefined : '5 4'}
          />
          <text
            x={x(line.at) + (line.word === 'danger' ? 6 : -6)}
            y={TOP - 16}
            textAnchor={line.word === 'danger' ? 'end' : 'start'}
            className={`text-sm ${line.word === 'danger' ? 'fill-danger font-semibold' : 'fill-ink'}`}
          >
            {line.word} {line.at}
          </text>
        </g>
      ))}
      {nights.map((night, i) => {
        const y = TOP + i * ROW + ROW / 2;
        return (
          <g key={night.strain}>
            <line
              x1={left}
              x2={x(night.lowestMgPerL)}
              y1={y + 6}
              y2={y + 6}
              stroke="var(--o2)"
              strokeWidth="7"
              strokeOpacity="0.35"
            />
            <circle
              cx={x(night.lowestMgPerL)}
              cy={y + 6}
              r="6"
              fill="var(--paper)"
              stroke="var(--o2)"
              strokeWidth="2.5"
            />
            <text
              {...HALO}
              x={narrow ? left : 0}
              y={narrow ? y - 8 : y + 11}
              className="fill-ink text-sm md:text-base"
            >
              {STRAIN[night.strain]}
            </text>
            <text
              {...HALO}
              x={x(night.lowestMgPerL) + 13}
              y={y + 12}
              className="fill-ink text-lg font-bold"
            >
              {night.lowestMgPerL.toFixed(1)}
            </text>
          </g>
        );
      })}
      {x.ticks(narrow ? 4 : 8).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={height - 8}
          textAnchor="middle"
          className="fill-soft text-sm"
        >
          {tick}
        </text>
      ))}
      <text x={width} y={height - 8} textAnchor="end" className="fill-soft text-sm">
        mg/L
      </text>
    </svg>
  );
}
