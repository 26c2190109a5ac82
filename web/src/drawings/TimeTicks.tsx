/** About half as wide as “31 Dec” is. */
const HALF = 24;

/** Moments named along the lower edge of a drawing; at its end they stand before their tick, not over the edge. */
export function TimeTicks({
  ticks,
  x,
  y,
  width,
  says,
}: {
  ticks: readonly Date[];
  x: (tick: Date) => number;
  y: number;
  /** Of the whole drawing. */
  width: number;
  /** What a moment is called. */
  says: (tick: Date) => string;
}) {
  return ticks.map((tick) => {
    const atEnd = x(tick) > width - HALF;
    return (
      <text
        key={tick.getTime()}
        x={atEnd ? width - 1 : x(tick)}
        y={y}
        textAnchor={atEnd ? 'end' : 'middle'}
        className="fill-soft text-sm"
      >
        {says(tick)}
      </text>
    );
  });
}
