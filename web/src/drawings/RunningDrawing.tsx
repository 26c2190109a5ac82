import type { Consumer } from '../api/types';

const LINE = 18;
const ROW = 44;
const BAR = 12;
/** Too narrow for a name and its words in one line. */
const NARROW = 520;

/** What each takes, as bars of one scale: the dearest reaches across. */
export function RunningDrawing({
  consumers,
  says,
  width,
}: {
  consumers: readonly Consumer[];
  says: (consumer: Consumer) => string;
  width: number;
}) {
  const most = Math.max(...consumers.map((c) => c.kWhPerYear), 1e-9);
  const narrow = width < NARROW;
  const row = narrow ? ROW + LINE : ROW;
  const height = consumers.length * row;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`What runs: ${consumers.map((c) => `${c.name}, ${says(c)}`).join('; ')}.`}
      className="block"
    >
      {consumers.map((c, i) => (
        <g key={c.id} transform={`translate(0 ${i * row})`}>
          <text x={0} y={18} className="fill-ink text-base">
            {c.name}{' '}
            <tspan className="fill-soft" {...(narrow ? { x: 0, dy: LINE } : { dx: 6 })}>
              {says(c)}
            </tspan>
          </text>
          <rect
            x={0}
            y={row - BAR - 7}
            width={Math.max(1, (c.kWhPerYear / most) * width)}
            height={BAR}
            fill="var(--accent)"
            opacity={0.55}
          />
        </g>
      ))}
    </svg>
  );
}
