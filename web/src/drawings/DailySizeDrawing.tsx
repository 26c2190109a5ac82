import { noon } from './ladderLayout';
import { OverTime } from './OverTime';

/** What one day alone shows of a size: a dot for each, a line where it changed. */
export function DailySizeDrawing({
  days,
  from,
  usual,
  says,
  width,
}: {
  days: readonly { day: string; size: number }[];
  /** The first day that shows the change. */
  from: string;
  /** The size before it. */
  usual: number;
  /** All of it in a sentence. */
  says: string;
  width: number;
}) {
  return (
    <OverTime
      times={[noon(days[0]?.day ?? from), noon(days.at(-1)?.day ?? from)]}
      values={[...days.map((d) => d.size), usual]}
      says={says}
      width={width}
    >
      {(x, y, { left, right, top, bottom }) => (
        <>
          <line
            x1={left}
            x2={right}
            y1={y(usual)}
            y2={y(usual)}
            stroke="var(--ink)"
            strokeDasharray="1 4"
          />
          <line x1={x(noon(from))} x2={x(noon(from))} y1={top} y2={bottom} stroke="var(--soft)" />
          {days.map((d) => (
            <circle
              key={d.day}
              cx={x(noon(d.day))}
              cy={y(d.size)}
              r="3.5"
              fill={d.day < from ? 'var(--soft)' : 'var(--co2)'}
            />
          ))}
        </>
      )}
    </OverTime>
  );
}
