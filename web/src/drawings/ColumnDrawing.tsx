const WIDTH = 150;
const HEIGHT = 230;
const COLUMN = { x: 48, y: 12, width: 54, height: 200 };

/** A column of media: the colour that has moved up it, and beside it how wet it is. */
export function ColumnDrawing({
  usedShare,
  readShare,
  waterPerGram,
  drownedAt,
}: {
  usedShare: number;
  readShare: number | undefined;
  waterPerGram: number;
  drownedAt: number;
}) {
  const used = Math.min(1, usedShare);
  const wet = Math.min(1, waterPerGram / drownedAt);
  const y = (share: number) => COLUMN.y + COLUMN.height * (1 - share);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Column of media: ${Math.round(used * 100)} % used, ${Math.round(wet * 100)} % of the way to drowned.`}
    >
      <rect
        x={COLUMN.x}
        y={y(used)}
        width={COLUMN.width}
        height={COLUMN.height * used}
        fill="var(--co2)"
        fillOpacity="0.35"
      />
      <rect {...COLUMN} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      {[0.5, 0.7, 1].map((mark) => (
        <g key={mark}>
          <line x1={COLUMN.x - 6} x2={COLUMN.x} y1={y(mark)} y2={y(mark)} stroke="var(--ink)" />
          <text x={COLUMN.x - 9} y={y(mark) + 5} textAnchor="end" className="fill-soft text-sm">
            {Math.round(mark * 100)}
          </text>
        </g>
      ))}
      {readShare !== undefined && (
        <path d={`M${COLUMN.x + COLUMN.width + 3} ${y(readShare)}l9 -5v10z`} fill="var(--ink)" />
      )}
      <rect
        x="124"
        y={COLUMN.y}
        width="8"
        height={COLUMN.height}
        fill="none"
        stroke="var(--hairline)"
      />
      <rect
        x="124"
        y={y(wet)}
        width="8"
        height={COLUMN.height * wet}
        fill="var(--o2)"
        fillOpacity="0.6"
      />
      <text x="128" y={HEIGHT - 3} textAnchor="middle" className="fill-soft text-sm">
        water
      </text>
    </svg>
  );
}
