import { getRouteApi, Link } from '@tanstack/react-router';
import { useForecastScore, useTwin } from '../../api/twin';
import type { Experiment, Open, Twin } from '../../api/types';
import { KnownDrawing } from '../../drawings/KnownDrawing';
import { LeftDrawing } from '../../drawings/LeftDrawing';
import { ROUTE, type ScreenPath } from '../../frame/places';
import { clockTime, dayAndTime, plainDay } from '../../lib/time';
import { buttonLook } from '../../parts/Button';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { ScoreDrawing } from '../../drawings/ScoreDrawing';
import { after, how, narrows, openness, OXYGEN_G_PER_MOL, verdict } from './known';
import { afterwards, did } from './score';

const route = getRouteApi('/signed-in/tank/$tankId/twin');

/** Reason → Twin: what is known of this tank, and what is not. */
export function TwinScreen() {
  const { tank } = useAtTank();
  const { day } = route.useSearch();
  const twin = useTwin(tank.id, day);
  if (!twin.data) {
    return (
      <>
        <Waiting error={twin.error} retry={() => void twin.refetch()} />
        {!twin.error && <p className="px-6 text-soft">Fitting the twin to the log …</p>}
      </>
    );
  }
  return <Known twin={twin.data} day={day} />;
}

function Known({ twin, day }: { twin: Twin; day?: string }) {
  const { tank, units } = useAtTank();
  const [ref, width] = useWidth();
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <section aria-labelledby="twin" className="grid content-start gap-4">
        <h1 id="twin" className="text-xl font-bold">
          {day ? `What it knew on the evening of ${plainDay(day)}` : 'What the twin knows'}
          {twin.from && (
            <span className="font-normal text-soft">
              {' '}
              · {twin.halfHours} half hours of pH since {dayAndTime(twin.from, tank.zone)}
            </span>
          )}
        </h1>
        {day && (
          <p>
            <Link
              to="/tank/$tankId/twin"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              What it knows now
            </Link>
          </p>
        )}
        <p className="max-w-prose text-2xl leading-snug font-semibold">{verdict(twin)}</p>
        {twin.standing.length > 0 && (
          <p>
            {day ? 'On it then' : 'On it'}:{' '}
            {twin.standing
              .map((e) => `${e.title} (${e.did.join(', ')}, since ${dayAndTime(e.at, tank.zone)})`)
              .join('; ')}
            .
          </p>
        )}
        {twin.problem && <p className="max-w-prose border-l-4 border-alk pl-3">{twin.problem}</p>}
        {!twin.fitted && !twin.problem && (
          <p className="max-w-prose">
            With half a day of a pH probe it begins to learn; ten days tell most.{' '}
            <Link
              to="/tank/$tankId/bring"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              Bring in a logger’s file
            </Link>
          </p>
        )}
        <div ref={ref}>
          {width > 0 && (
            <KnownDrawing
              unknowns={twin.unknowns}
              says={(unknown) => ({
                range: after(unknown, units),
                how: how(unknown, twin.useDosed),
              })}
              width={width}
            />
          )}
        </div>
        <p className="text-sm text-soft">
          The hairline holds nine in ten tanks of this kind and description, before the log; the
          bar, nine in ten that could be behind it. The ring is the most probable one. Fish breathe{' '}
          {(twin.fishMmolPerLPerH * OXYGEN_G_PER_MOL).toFixed(2)} mg/L an hour beside the reef, as
          described. Widths before the log are from memory.
        </p>
        <Telling experiments={twin.experiments} open={twin.open} />
        {width > 0 && twin.left.length > 1 && (
          <div>
            <h2 className="font-bold">Left between readings and twin, pH</h2>
            <LeftDrawing left={twin.left} scatter={twin.scatterPh} zone={tank.zone} width={width} />
            <p className="text-sm text-soft">
              In grey, twice its usual scatter of {twin.scatterPh.toFixed(3)}. A step or a slow
              drift here is something that nobody described.
            </p>
          </div>
        )}
        {!day && width > 0 && <Forecasts width={width} />}
      </section>
      <aside aria-label="What is open" className="grid content-start gap-6 lg:border-l lg:pl-8">
        <div>
          <h2 className="font-bold">What that leaves open</h2>
          <dl>
            {twin.open.map((open) => (
              <div key={open.decision} className="border-b py-1.5">
                <dt className="text-sm text-soft">{open.name}</dt>
                <dd className="font-semibold">{openness(open)}</dd>
              </div>
            ))}
          </dl>
        </div>
        {twin.alike.length > 0 && (
          <div>
            <h2 className="font-bold">What the log cannot tell apart</h2>
            <ul className="grid gap-1.5">
              {twin.alike.map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </ul>
          </div>
        )}
      </aside>
    </div>
  );
}

/** Each day as it was forecast at its beginning, and as it came. */
function Forecasts({ width }: { width: number }) {
  const { tank } = useAtTank();
  const score = useForecastScore(tank.id).data;
  if (!score || score.days.length === 0) return null;
  const made = afterwards(score);
  return (
    <div>
      <h2 className="font-bold">How its forecasts did</h2>
      <p>
        {did(score.trough, 'trough') ?? 'No day that it forecast has come yet.'}{' '}
        {did(score.peak, 'peak')}
      </p>
      <ScoreDrawing days={score.days} width={width} />
      <p className="text-sm text-soft">
        Hatched, what it forecast of each day’s trough and peak at its beginning; dots, what came.
        {made > 0 &&
          ` ${made === 1 ? 'One was' : `${made} were`} made up for later, from readings before the day, with the calibrations and changes that are known now.`}
      </p>
    </div>
  );
}

/** Where each is made, or its readings are entered. */
const WHERE: Record<Experiment['experiment'], (typeof ROUTE)[ScreenPath]> = {
  SKIMMER_OFF_BEFORE_LIGHT: ROUTE.experiment,
  SKIMMER_OFF_AT_NIGHT: ROUTE.experiment,
  LAMPS_OFF_FOR_A_DAY: ROUTE.experiment,
  OXYGEN_NIGHT: ROUTE.enter,
  PROBE_IN_BUFFERS: ROUTE.probe,
  ANOTHER_ALKALINITY_TEST: ROUTE.enter,
  GLASS_OF_AIR: ROUTE.probe,
  ROOM_METER: ROUTE.enter,
  INTAKE_METER: ROUTE.enter,
};

/** The measurements that would narrow it, and those that the animals' oxygen forbids. */
function Telling({
  experiments,
  open,
}: {
  experiments: readonly Experiment[];
  open: readonly Open[];
}) {
  const { tank } = useAtTank();
  const telling = experiments.filter((e) => e.allowed && narrows(e, open).length > 0);
  const forbidden = experiments.filter((e) => !e.allowed && narrows(e, open).length > 0);
  return (
    <div>
      <h2 className="font-bold">What would tell more</h2>
      {telling.length === 0 ? (
        <p>Nothing that is allowed would narrow any of it by a twentieth.</p>
      ) : (
        <ol className="grid gap-x-8 gap-y-3 pt-1 md:grid-cols-2">
          {telling.map((experiment) => (
            <li key={experiment.experiment}>
              <p className="font-semibold first-letter:uppercase">{experiment.name}</p>
              <p className="text-sm">
                Would narrow {narrows(experiment, open).join(', ')}. {hours(experiment, tank.zone)}
                About {experiment.minutes} minutes of your time (assumed).
                {experiment.experiment === 'GLASS_OF_AIR' &&
                  ' Half a litre at most, a fine stone, air from outdoors: exhaled air beside it spoils it.'}
                {experiment.lowestOxygenMgPerL !== undefined &&
                  ` Oxygen would fall to ${experiment.lowestOxygenMgPerL.toFixed(1)} mg/L on the early side: watch the animals, end it when they gasp, and look at the skimmer’s cup when it starts again.`}
              </p>
              <Link
                to={WHERE[experiment.experiment]}
                params={{ tankId: tank.id }}
                className={buttonLook('quiet')}
              >
                {experiment.lowestOxygenMgPerL === undefined ? 'enter it' : 'be guided'}
              </Link>
            </li>
          ))}
        </ol>
      )}
      {forbidden.length > 0 && (
        <p className="pt-3 text-sm">
          Not here: {forbidden.map((e) => e.name).join('; ')}. On the early side oxygen would fall
          to {Math.min(...forbidden.map((e) => e.lowestOxygenMgPerL ?? 0)).toFixed(1)} mg/L.
        </p>
      )}
    </div>
  );
}

const hours = (experiment: Experiment, zone: string) =>
  experiment.from && experiment.until
    ? `${clockTime(experiment.from, zone)} to ${clockTime(experiment.until, zone)}. `
    : '';
