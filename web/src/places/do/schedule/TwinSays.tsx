import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { useScheduleRun } from '../../../api/schedule';
import type { Schedule, ScheduleDay, RunOfSchedule, WhatIf } from '../../../api/types';
import { ForecastDrawing } from '../../../drawings/ForecastDrawing';
import { money } from '../../../lib/money';
import { range } from '../../../lib/number';
import { dayAndTime } from '../../../lib/time';
import { OneOf } from '../../../parts/OneOf';
import { Refusal } from '../../../parts/Refusal';
import { useWidth } from '../../../parts/useWidth';
import { useAtTank } from '../../../TankContext';
import { Brought } from './Brought';
import { dosesMade, mediaWords } from './words';

const LENGTHS = [
  { value: '2', label: 'two days' },
  { value: '14', label: 'a fortnight' },
] as const;

/** The tank's own twin by the schedule as it is changed, beside the one that is saved. */
export function TwinSays({
  schedule,
  day,
  changed,
  what,
}: {
  schedule: Schedule;
  /** The day that is shown; with something forbidden on it nothing is run. */
  day: ScheduleDay;
  changed: boolean;
  what?: WhatIf;
}) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  const [days, setDays] = useState<(typeof LENGTHS)[number]['value']>('2');
  const forbidden = day.conflicts.some((c) => c.forbids);
  const run = useScheduleRun(tank.id, schedule, Number(days), !forbidden, what);
  const doses = dosesMade(day);
  const other = changed || what?.cut !== undefined || what?.stuck !== undefined;
  return (
    <section aria-labelledby="twin" className="grid gap-3 border-t border-hairline pt-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 id="twin" className="text-lg font-bold">
          What the model expects
        </h2>
        <OneOf legend="Run for" value={days} options={LENGTHS} onChange={setDays} />
      </div>
      {forbidden && (
        <p className="text-soft">
          We don’t simulate a day that leaves the animals without air. Fix that first.
        </p>
      )}
      <Refusal message={run.error?.message} />
      {!forbidden && !run.data && !run.error && (
        <p className="text-soft">Simulating. The first time, the model is fitted to your log.</p>
      )}
      {run.data && !forbidden && (
        <>
          <dl className="grid gap-x-10 gap-y-2 md:grid-cols-3">
            <Figure
              name={`daily low, ${dayAndTime(run.data.asked.troughAt, tank.zone)}`}
              value={range(run.data.asked.troughPh, 2)}
              beside={other ? range(run.data.now.troughPh, 2) : undefined}
            />
            <Figure
              name="lowest oxygen, mg/L"
              value={range(run.data.asked.lowestOxygenMgPerL, 1)}
              beside={other ? range(run.data.now.lowestOxygenMgPerL, 1) : undefined}
            />
            <Figure
              name="highest CO2 in the water, ppm"
              value={range(run.data.asked.highestCo2Ppm, 0)}
              beside={other ? range(run.data.now.highestCo2Ppm, 0) : undefined}
            />
            <Media run={run.data.asked} />
            {doses !== undefined && <Figure name="doses of the day that is shown" value={doses} />}
          </dl>
          {run.data.brings.map((brought) => (
            <Brought key={brought.chore} brought={brought} />
          ))}
          <div ref={ref} className={run.isPlaceholderData ? 'opacity-60' : ''}>
            {width > 0 && (
              <ForecastDrawing
                now={run.data.now}
                then={other ? run.data.asked : null}
                lit={run.data.lit}
                band={tank.description.band}
                zone={tank.zone}
                width={width}
              />
            )}
          </div>
          <p className="max-w-prose text-sm text-soft">
            {other && 'Dashed: the saved schedule. '}
            Ranges hold 9 of 10 models that fit your log. {run.data.assumed.join(' ')}
            {what?.cut && (
              <>
                {' '}
                How long the animals have without power, with your kit:{' '}
                <Link
                  to="/tank/$tankId/readiness"
                  params={{ tankId: tank.id }}
                  className="underline underline-offset-4"
                >
                  Readiness
                </Link>
                , with your kit.
              </>
            )}
          </p>
        </>
      )}
    </section>
  );
}

function Figure({ name, value, beside }: { name: string; value: string; beside?: string }) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd>
        <strong className="text-2xl">{value}</strong>
        {beside !== undefined && beside !== value && (
          <span className="text-soft"> saved: {beside}</span>
        )}
      </dd>
    </div>
  );
}

function Media({ run }: { run: RunOfSchedule }) {
  const { tank } = useAtTank();
  if (!run.media) return null;
  return (
    <div>
      <dt className="text-sm text-soft">media</dt>
      <dd>
        <strong className={run.media.drowned ? 'text-2xl underline' : 'text-2xl'}>
          {mediaWords(run.media)}
        </strong>{' '}
        <span className="text-soft">
          {money(run.media.perMonth, tank.currency)} a month (assumed price),{' '}
          {run.media.waterPerKg.toFixed(2)} L of water in each kg at the end
        </span>
      </dd>
    </div>
  );
}
