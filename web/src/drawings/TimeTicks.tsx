/** Moments named along the lower edge of a drawing. */
export function TimeTicks({
  ticks,
  x,
  y,
  says,
}: {
  ticks: readonly Date[];
  x: (tick: Date) => number;
  y: number;
  /** What a moment is called. */
  says: (tick: Date) => string;
}) {
  return ticks.map((tick) => (
    <text key={tick.getTime()} x={x(tick)} y={y} textAnchor="middle" className="fill-soft text-sm">
      {says(tick)}
    </text>
  ));
}
