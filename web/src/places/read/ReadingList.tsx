import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { useDeleteReadings, useReadings, useSaveReadings, useSensors } from '../../api/log';
import type { Reading, SensorLine } from '../../api/types';
import { useHelper } from '../../frame/useHelper';
import { dayAndTime } from '../../lib/time';
import { METHOD, RAW_UNIT } from '../../lib/units';
import { Button, buttonLook } from '../../parts/Button';
import { Mark, markOf } from '../../parts/Mark';
import { useNotice } from '../../parts/Notices';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { CorrectSheet } from './CorrectSheet';
import { NAMES, PLACE } from './names';

/** What is in the log, newest first, to correct or to take out. */
export function ReadingList() {
  const { tank } = useAtTank();
  const helper = useHelper();
  const [pages, setPages] = useState<(string | undefined)[]>([undefined]);
  const after = pages.at(-1);
  const [each, setEach] = useState(false);
  const query = useReadings(tank.id, after, each);
  const sensors = useSensors(tank.id).data ?? [];
  const remove = useDeleteReadings(tank.id);
  const restore = useSaveReadings(tank.id);
  const tell = useNotice();
  const [correcting, setCorrecting] = useState<Reading | null>(null);

  const take = (reading: Reading) =>
    remove.mutate([reading.id], {
      onSuccess: () =>
        tell(`${NAMES[reading.quantity]} ${reading.value} removed.`, () =>
          restore.mutate({ at: reading.at, values: [without(reading)] }),
        ),
    });

  return (
    <section aria-labelledby="log" className="lg:border-l lg:pl-8">
      <h2 id="log" className="pb-2 text-xl font-bold">
        In the log
      </h2>
      {sensors.length > 0 && (
        <div className="pb-4">
          <ul>
            {sensors.map((s) => (
              <Sensor key={`${s.place} ${s.method} ${s.unit}`} line={s} />
            ))}
          </ul>
          <label className="flex min-h-11 items-center gap-3 border-t text-sm">
            <input
              type="checkbox"
              className="size-5 accent-accent"
              checked={each}
              onChange={(e) => {
                setEach(e.target.checked);
                setPages([undefined]);
              }}
            />
            List every sensor reading below
          </label>
        </div>
      )}
      {!query.data ? (
        <Waiting error={query.error} retry={() => void query.refetch()} />
      ) : query.data.readings.length === 0 ? (
        <p className="text-soft">
          {sensors.length > 0 ? 'Nothing entered by hand yet.' : 'Nothing yet.'} Start with pH in
          the last hour before lights-on, alkalinity and the room’s CO2. These three answer the
          first question.
        </p>
      ) : (
        <>
          <ul>
            {query.data.readings.map((r) => (
              <li key={r.id} className="flex items-center justify-between gap-3 border-t py-1">
                <div className="min-w-0">
                  <p className="flex items-center gap-2">
                    <Mark kind={markOf(r.method)} />
                    <span className="truncate">
                      {NAMES[r.quantity]}
                      {PLACE[r.place]}{' '}
                      <strong>
                        {r.value.toFixed(RAW_UNIT[r.unit].digits)}
                        {r.unit !== 'PH_NBS' && ` ${RAW_UNIT[r.unit].label}`}
                      </strong>
                    </span>
                  </p>
                  <p className="truncate text-sm text-soft">
                    {dayAndTime(r.at, tank.zone)}, {METHOD[r.method]}
                  </p>
                  {r.usual && <p className="text-sm">▲ Unusual: most tanks read {r.usual}.</p>}
                </div>
                <div className="flex shrink-0">
                  {r.quantity === 'PH' && (
                    <Link
                      to="/tank/$tankId/staircase"
                      params={{ tankId: tank.id }}
                      search={{ at: r.at }}
                      aria-label={`Staircase at pH ${r.value}`}
                      className={buttonLook('quiet')}
                    >
                      Staircase
                    </Link>
                  )}
                  {!helper && (
                    <>
                      <Button
                        look="quiet"
                        aria-label={`Correct ${NAMES[r.quantity]} ${r.value}`}
                        onClick={() => setCorrecting(r)}
                      >
                        Correct
                      </Button>
                      <Button
                        look="quiet"
                        aria-label={`Remove ${NAMES[r.quantity]} ${r.value}`}
                        onClick={() => take(r)}
                      >
                        Remove
                      </Button>
                    </>
                  )}
                </div>
              </li>
            ))}
          </ul>
          <div className="flex gap-4 border-t pt-2">
            {pages.length > 1 && (
              <Button look="quiet" onClick={() => setPages(pages.slice(0, -1))}>
                Newer
              </Button>
            )}
            {query.data.next && (
              <Button look="quiet" onClick={() => setPages([...pages, query.data.next])}>
                Older
              </Button>
            )}
          </div>
        </>
      )}
      {correcting && <CorrectSheet reading={correcting} close={() => setCorrecting(null)} />}
    </section>
  );
}

/** A sensor in a line: what it says, and between what it moved on its last day. */
function Sensor({ line }: { line: SensorLine }) {
  const { tank } = useAtTank();
  const { digits, label } = RAW_UNIT[line.unit];
  return (
    <li className="border-t py-1">
      <p className="flex items-center gap-2">
        <Mark kind={markOf(line.method)} />
        <span>
          {NAMES[line.quantity]}
          {PLACE[line.place]}{' '}
          <strong>
            {line.value.toFixed(digits)}
            {line.unit !== 'PH_NBS' && ` ${label}`}
          </strong>
        </span>
      </p>
      <p className="text-sm text-soft">
        {dayAndTime(line.at, tank.zone)}, {METHOD[line.method]}; {line.low.toFixed(digits)} to{' '}
        {line.high.toFixed(digits)} in {line.n} readings of its last day
      </p>
    </li>
  );
}

const without = ({ unit, place, method, value }: Reading) => ({ unit, place, method, value });
