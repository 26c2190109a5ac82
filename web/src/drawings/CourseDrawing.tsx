import { noon } from './ladderLayout';
import { OverTime } from './OverTime';

/** Months of something that was measured now and then: a dot for each, a line where it rose or fell. */
export function CourseDrawing({
  measured,
  drifts,
  says,
  width,
}: {
  measured: readonly { at: string; value: number }[];
  drifts: readonly { from: string; until: string; begins: number; ends: number }[];
  /** All of it in a sentence. */
  says: string;
  width: number;
}) {
  return (
    <OverTime
      times={measured.map((m) => Date.parse(m.at))}
      values={[...measured.map((m) => m.value), ...drifts.flatMap((d) => [d.begins, d.ends])]}
      says={says}
      width={width}
    >
      {(x, y) => (
        <>
          {drifts.map((d) => (
            <path
              key={d.from}
              d={`M${x(noon(d.from))} ${y(d.begins)}L${x(noon(d.until))} ${y(d.ends)}`}
              stroke="var(--co2)"
              strokeWidth="3"
              strokeLinecap="round"
            />
          ))}
          {measured.map((m) => (
            <circle
              key={m.at}
              cx={x(Date.parse(m.at))}
              cy={y(m.value)}
              r="3.5"
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
          ))}
        </>
      )}
    </OverTime>
  );
}
