import { getRouteApi, Link } from '@tanstack/react-router';
import { useForecastScore, useTwin } from '../../api/twin';
import type { Experiment, Open, Twin } from '../../api/types';
import { KnownDrawing } from '../../drawings/KnownDrawing';
import { LeftDrawing } from '../../drawings/LeftDrawing';
import { ROUTE, type ScreenPath } from '../../frame/places';
import { clockTime, dayAndTime, plainDay } from '../../lib/time';
import { HowWorkedOut } from '../../parts/HowWorkedOut';
import { buttonLook } from '../../parts/Button';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { ScoreDrawing } from '../../drawings/ScoreDrawing';
import { after, daysOfPh, how, narrows, openness, OXYGEN_G_PER_MOL, verdict } from './known';
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
        {!twin.error && <p className="px-6 text-soft">Fitting the model to your log…</p>}
      </>
    );
  }
  return <Known twin={twin.data} day={day} />;
}

function Known({ twin, day }: { twin: Twin; day?: string }) {
  const { tank, units } = useAtTank();
  const [ref, width] = useWidth();
  const [best, ...others] = worthMaking(twin, true);
  const forbidden = worthMaking(twin, false);
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <section aria-labelledby="twin" className="grid content-start gap-4">
        <h1 id="twin" className="text-xl font-bold">
          {day
            ? `What the model knew on the evening of ${plainDay(day)}`
            : 'What the model knows about your tank'}
          {twin.from && (
            <span className="font-normal text-soft">
              {' '}
              · from {daysOfPh(twin.halfHours)} of pH since {dayAndTime(twin.from, tank.zone)}
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
              Show now
            </Link>
          </p>
        )}
        <p className="max-w-prose text-2xl leading-snug font-semibold">{verdict(twin)}</p>
        {twin.standing.length > 0 && (
          <p>
            {day ? 'Active then' : 'Active'}:{' '}
            {twin.standing
              .map((e) => `${e.title} (${e.did.join(', ')}, since ${dayAndTime(e.at, tank.zone)})`)
              .join('; ')}
            .
          </p>
        )}
        {twin.problem && <p className="max-w-prose border-l-4 border-alk pl-3">{twin.problem}</p>}
        {!twin.fitted && !twin.problem && (
          <p className="max-w-prose">
            The model starts learning from half a day of probe pH. Ten days are best.{' '}
            <Link
              to="/tank/$tankId/bring"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              Import a logger’s file
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
          Thin line: before your log. Bar: with it, 9 in 10. Ring: most likely.
        </p>
        <HowWorkedOut>
          The thin line holds 9 in 10 tanks like yours. Its widths are from memory. The bar holds 9
          in 10 models that fit your log. Fish use{' '}
          {(twin.fishMmolPerLPerH * OXYGEN_G_PER_MOL).toFixed(2)} mg/L an hour on top, as described.
        </HowWorkedOut>
        <Telling others={others} forbidden={forbidden} open={twin.open} />
        {width > 0 && twin.left.length > 1 && (
          <div>
            <h2 className="font-bold">Difference between your readings and the model, pH</h2>
            <LeftDrawing left={twin.left} scatter={twin.scatterPh} zone={tank.zone} width={width} />
            <p className="text-sm text-soft">
              Grey: twice the usual scatter of {twin.scatterPh.toFixed(3)}. A step or slow drift
              means something is missing from the description.
            </p>
          </div>
        )}
        {!day && width > 0 && <Forecasts width={width} />}
      </section>
      <aside
        aria-label="What to measure next, and what we can’t tell yet"
        className="grid content-start gap-6 lg:border-l lg:pl-8"
      >
        <div>
          <h2 className="font-bold">Measure next</h2>
          {best ? (
            <Measurement experiment={best} open={twin.open} />
          ) : (
            <p>No safe measurement would help much now.</p>
          )}
        </div>
        <div>
          <h2 className="font-bold">What that leaves uncertain</h2>
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
            <h2 className="font-bold">What the log can’t separate</h2>
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
      <h2 className="font-bold">How good the forecasts were</h2>
      <p>
        {did(score.trough, 'trough') ?? 'No forecast day is over yet.'} {did(score.peak, 'peak')}
      </p>
      <ScoreDrawing days={score.days} width={width} />
      <p className="text-sm text-soft">
        Hatched: forecast low and high of each day. Dots: what happened.
        {made > 0 &&
          ` ${made === 1 ? 'One was' : `${made} were`} computed later, from readings before that day, with today’s calibrations and events.`}
      </p>
    </div>
  );
}

/** Where each is made, or its readings are entered. */
const WHERE: Record<Experiment['experiment'], (typeof ROUTE)[ScreenPath]> = {
  SKIMMER_OFF_BEFORE_LIGHT: ROUTE.experiment,
  SKIMMER_OFF_AT_NIGHT: ROUTE.experiment,
  LAMPS_OFF_FOR_A_DAY: ROUTE.experiment,
  OXYGEN_NIGHT: ROUTE.addToLog,
  PROBE_IN_BUFFERS: ROUTE.probe,
  ANOTHER_ALKALINITY_TEST: ROUTE.addToLog,
  GLASS_OF_AIR: ROUTE.probe,
  ROOM_METER: ROUTE.addToLog,
  INTAKE_METER: ROUTE.addToLog,
};

/** The measurements that would narrow anything, by whether the animals' oxygen allows them. */
const worthMaking = (twin: Twin, allowed: boolean) =>
  twin.experiments.filter((e) => e.allowed === allowed && narrows(e, twin.open).length > 0);

/** Those beside the best one, and those that the animals' oxygen forbids. */
function Telling({
  others,
  forbidden,
  open,
}: {
  others: readonly Experiment[];
  forbidden: readonly Experiment[];
  open: readonly Open[];
}) {
  if (others.length === 0 && forbidden.length === 0) return null;
  return (
    <div>
      <h2 className="font-bold">Other measurements</h2>
      {others.length > 0 && (
        <ol className="grid gap-x-8 gap-y-3 pt-1 md:grid-cols-2">
          {others.map((experiment) => (
            <li key={experiment.experiment}>
              <Measurement experiment={experiment} open={open} />
            </li>
          ))}
        </ol>
      )}
      {forbidden.length > 0 && (
        <p className="pt-3 text-sm">
          Not here: {forbidden.map((e) => e.name).join('; ')}. Oxygen could fall to{' '}
          {Math.min(...forbidden.map((e) => e.lowestOxygenMgPerL ?? 0)).toFixed(1)} mg/L (9 in 10).
        </p>
      )}
    </div>
  );
}

function Measurement({ experiment, open }: { experiment: Experiment; open: readonly Open[] }) {
  const { tank } = useAtTank();
  return (
    <>
      <p className="font-semibold first-letter:uppercase">{experiment.name}</p>
      <p className="text-sm">
        Narrows {narrows(experiment, open).join(', ')}. {hours(experiment, tank.zone)} About{' '}
        {experiment.minutes} minutes of your time (assumed).{' '}
        {experiment.experiment === 'GLASS_OF_AIR' &&
          ' Use up to half a litre of tank water, a fine air stone and outdoor air. Don’t breathe into the glass.'}{' '}
        {experiment.lowestOxygenMgPerL !== undefined &&
          ` Watch the animals: oxygen could fall to ${experiment.lowestOxygenMgPerL.toFixed(1)} mg/L. Stop when they gasp. Check the skimmer’s cup when it restarts.`}
      </p>
      <Link
        to={WHERE[experiment.experiment]}
        params={{ tankId: tank.id }}
        className={buttonLook('quiet')}
      >
        {experiment.lowestOxygenMgPerL === undefined ? 'Add reading' : 'Start'}
      </Link>
    </>
  );
}

const hours = (experiment: Experiment, zone: string) =>
  experiment.from && experiment.until
    ? `${clockTime(experiment.from, zone)} to ${clockTime(experiment.until, zone)}. `
    : '';
