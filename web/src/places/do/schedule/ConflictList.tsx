import { Link } from '@tanstack/react-router';
import type { Schedule, ScheduleConflict, ScheduleDay } from '../../../api/types';
import { clockTime, timesIn } from '../../../lib/time';
import { Button, buttonLook } from '../../../parts/Button';
import { useAtTank } from '../../../TankContext';
import { capital } from '../../../lib/capital';

/** What stands against the day, each with its ways out. */
export function ConflictList({
  day,
  zone,
  mend,
  show,
}: {
  day: ScheduleDay;
  zone: string;
  mend: (schedule: Schedule) => void;
  /** Brings the playhead there. */
  show: (ms: number) => void;
}) {
  return (
    <section aria-labelledby="conflicts" className="grid content-start gap-3">
      <h2 id="conflicts" className="text-lg font-bold">
        Conflicts
      </h2>
      {day.conflicts.length === 0 && (
        <p className="text-soft">
          No conflicts. Every dose meets moving water, media meet a running skimmer, and something
          always adds air.
        </p>
      )}
      <ul>
        {day.conflicts.map((conflict, i) => (
          <li key={i} className="grid gap-2 border-t border-hairline py-3">
            <p className={conflict.forbids ? 'font-semibold text-danger' : ''}>
              {conflict.forbids && '▲ '}
              {conflict.from !== undefined && (
                <button
                  type="button"
                  className="font-semibold underline decoration-hairline underline-offset-4"
                  onClick={() => show(Date.parse(conflict.from ?? day.from))}
                >
                  {clockTime(conflict.from, zone)}
                </button>
              )}{' '}
              {timesIn(conflict.because)}
            </p>
            <WaysOut conflict={conflict} mend={mend} />
          </li>
        ))}
      </ul>
      {day.more > 0 && <p className="text-soft">{day.more} more after these are fixed.</p>}
    </section>
  );
}

function WaysOut({
  conflict,
  mend,
}: {
  conflict: ScheduleConflict;
  mend: (schedule: Schedule) => void;
}) {
  const { tank } = useAtTank();
  if (conflict.waysOut.length === 0)
    return <p className="text-sm text-soft">Only you can decide what you meant.</p>;
  return (
    <div className="flex flex-wrap gap-3 print:hidden">
      {conflict.waysOut.map((out, i) =>
        out.mended ? (
          <Button
            key={out.what}
            look={i === 0 ? 'main' : 'plain'}
            onClick={() => mend(out.mended as Schedule)}
          >
            {capital(timesIn(out.what))}
          </Button>
        ) : (
          <Link
            key={out.what}
            to="/tank/$tankId/description"
            params={{ tankId: tank.id }}
            className={buttonLook('plain')}
          >
            {capital(timesIn(out.what))}: in its description
          </Link>
        ),
      )}
    </div>
  );
}
