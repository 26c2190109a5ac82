import { getRouteApi, Link } from '@tanstack/react-router';
import { memo, useMemo } from 'react';
import { useGains } from '../../../api/gains';
import { useBench, useForecast, useForecastScore } from '../../../api/twin';
import type { Bench, Forecast, MeasureKind, PutMeasure } from '../../../api/types';
import { ForecastDrawing } from '../../../drawings/ForecastDrawing';
import { RemedyMapDrawing } from '../../../drawings/RemedyMapDrawing';
import { clockTime } from '../../../lib/time';
import { show } from '../../../lib/measure';
import { money } from '../../../lib/money';
import { alkalinityToMeq, showAlkalinity } from '../../../lib/units';
import { Button } from '../../../parts/Button';
import { useWidth } from '../../../parts/useWidth';
import { Waiting } from '../../../parts/Waiting';
import { useAtTank } from '../../../TankContext';
import { shownAs, turned, withMeasure } from './measures';
import { Measures } from './Measures';
import { range, signedRange } from '../../../lib/number';
import { Compared, EFFORT, mediaDays } from './Compared';
import { did } from '../../reason/score';
import { Done } from './Done';
import { hoseInWords } from './hose';
import { Kept } from './Kept';
import { Standing } from './Standing';
import { changes, means, type NamedSet, setInWords, toggled, withStanding } from './sets';
import { useSets } from './useSets';

const route = getRouteApi('/signed-in/tank/$tankId/bench');
const MAX_SETS = 4;
const LETTERS = ['A', 'B', 'C', 'D'];

/** Try → Bench: what would each remedy do here? */
export function BenchScreen() {
  const { tank } = useAtTank();
  const bench = useBench(tank.id);
  if (!bench.data) {
    return (
      <>
        <Waiting error={bench.error} retry={() => void bench.refetch()} />
        {!bench.error && <p className="px-6 text-soft">Fitting the model to your log…</p>}
      </>
    );
  }
  return <OnTheBench bench={bench.data} />;
}

function OnTheBench({ bench }: { bench: Bench }) {
  const { tank, units } = useAtTank();
  const { days = 2, sort } = route.useSearch();
  const navigate = route.useNavigate();
  const [linked, save] = useSets();
  const [ref, width] = useWidth();
  const sets = useMemo(
    () => linked.map((set) => withStanding(set, bench.standing)),
    [linked, bench.standing],
  );
  const current = sets[0] ?? { name: 'A', put: [] };
  const variants = useMemo(
    () => [
      { measures: [] },
      ...sets.map(({ put, without }) => ({
        measures: put,
        ...(without?.length ? { without } : {}),
      })),
    ],
    [sets],
  );
  const forecast = useForecast(tank.id, bench.tanks, variants, days);
  const gains = useGains(tank.id, bench);
  const [now, then, ...kept] = forecast.data ?? [];
  const changed = changes(current);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 lg:grid-cols-[30rem_minmax(0,1fr)]">
      <section aria-labelledby="remedies" className="order-2 lg:order-1 lg:border-r lg:pr-6">
        <h1 id="remedies" className="pb-1 text-xl font-bold">
          Try a change
        </h1>
        <Measures
          measures={bench.measures}
          impossible={bench.impossible}
          gains={gains}
          puts={current.put}
          units={units}
          currency={tank.currency}
          cheapest={sort === 'cheapest'}
          onChange={(put) => save([{ ...current, put }, ...sets.slice(1)])}
        />
        {changed && (
          <div className="flex flex-wrap gap-2 pt-3">
            {current.put.length > 0 && current.without?.length ? (
              <p className="text-soft">
                Done both? Press “I removed this” below first, then log what you added.
              </p>
            ) : null}
            {current.put.length > 0 && !current.without?.length && (
              <Done
                put={current.put}
                measures={bench.measures}
                takeOff={() => save([{ ...current, put: [] }, ...sets.slice(1)])}
              />
            )}
            <Button
              disabled={sets.length >= MAX_SETS}
              onClick={() =>
                save([{ name: LETTERS[sets.length] ?? 'E', put: [] }, current, ...sets.slice(1)])
              }
            >
              Keep and try another
            </Button>
            <Button
              look="quiet"
              onClick={() => save([{ name: current.name, put: [] }, ...sets.slice(1)])}
            >
              current setup
            </Button>
          </div>
        )}
        <Standing
          events={bench.standing}
          without={current.without ?? []}
          toggle={(id) => save([toggled(current, id), ...sets.slice(1)])}
        />
        <Kept current={current} take={(put) => save([{ ...current, put }, ...sets.slice(1)])} />
      </section>
      <div className="order-1 grid grid-cols-[minmax(0,1fr)] content-start gap-4 lg:order-2">
        <section aria-labelledby="ahead">
          <div className="flex flex-wrap items-baseline justify-between gap-x-6">
            <h2 id="ahead" className="pb-1 text-xl font-bold">
              The next {days === 2 ? '2 days' : '14 days'}
              <span className="font-normal text-soft">
                {changed ? ' · dashed: current setup' : ' · current setup'}
              </span>
            </h2>
            <Button
              look="quiet"
              onClick={() =>
                void navigate({
                  search: (before) => ({ ...before, days: days === 2 ? 14 : 2 }),
                  replace: true,
                })
              }
            >
              {days === 2 ? 'Show 14 days' : 'Show 2 days'}
            </Button>
          </div>
          <div ref={ref}>
            {width > 0 && now && (
              <ForecastDrawing
                now={now}
                then={changed ? (then ?? null) : null}
                lit={bench.lit}
                band={tank.description.band}
                zone={tank.zone}
                width={width}
              />
            )}
          </div>
          {!now && <Waiting error={forecast.error} retry={() => void forecast.refetch()} />}
          {now && forecast.error && (
            <p role="alert" className="font-semibold">
              ✕ {forecast.error.message}
            </p>
          )}
        </section>
        {now && then && (
          <section aria-label="What to expect" className="grid gap-3" aria-live="polite">
            <Brings
              now={now}
              then={changed ? then : now}
              set={current}
              zone={tank.zone}
              days={days}
              bench={bench}
              put={(put) => save([{ ...current, put }, ...sets.slice(1)])}
            />
            {kept.length > 0 && (
              <Compared
                bench={bench}
                rows={[
                  { set: current, forecast: then },
                  ...kept.map((f, i) => ({ set: sets[i + 1] ?? current, forecast: f })),
                ]}
                open={(i) => save([sets[i] ?? current, ...sets.filter((_, at) => at !== i)])}
                drop={(i) => save(sets.filter((_, at) => at !== i))}
              />
            )}
          </section>
        )}
        {now && then && changed && (
          <OnTheMap
            bench={bench}
            now={now}
            sets={[current, ...sets.slice(1)]}
            forecasts={[then, ...kept]}
          />
        )}
        <Basis bench={bench} />
      </div>
    </div>
  );
}

/** The set in two sentences, then its cautions. */
function Brings({
  now,
  then,
  set,
  zone,
  days,
  bench,
  put,
}: {
  now: Forecast;
  then: Forecast;
  set: NamedSet;
  zone: string;
  days: number;
  bench: Bench;
  put: (puts: PutMeasure[]) => void;
}) {
  const { tank, units } = useAtTank();
  return (
    <>
      {then.stopped && (
        <Stopped stopped={then.stopped} measures={bench.measures} puts={set.put} onChange={put} />
      )}
      {then === now ? (
        <p className="text-lg leading-snug">
          Expected daily low with the current setup:{' '}
          <strong className="text-2xl">{range(now.troughPh, 2)}</strong>, at{' '}
          {clockTime(now.troughAt, zone)}. Daily high {range(now.peakPh, 2)}, lowest oxygen{' '}
          {range(now.lowestOxygenMgPerL, 1)} mg/L. Pick a change to try.
        </p>
      ) : (
        <p className="text-lg leading-snug">
          <strong className="text-2xl">{signedRange(then.gainPh)}</strong> on the daily low once
          settled
          {then.media ? ', while the media are fresh' : ''}: {range(then.troughPh, 2)} at{' '}
          {clockTime(then.troughAt, zone)}, now {now.troughPh.value.toFixed(2)}. Daily high{' '}
          {range(then.peakPh, 2)}, lowest oxygen {range(then.lowestOxygenMgPerL, 1)} mg/L.{' '}
          <em className="inline-block not-italic first-letter:uppercase">
            {setInWords(set, bench.measures, bench.standing, units)}
          </em>
          {set.put.length > 0 && `: ${means(then.ways)}`}. Settled after about{' '}
          {Math.round(then.settleHours.value)} h
          {then.cost.toFit > 0.5 || then.cost.perMonth > 0.5
            ? `. About ${money(then.cost.toFit, tank.currency)} to buy and ${money(then.cost.perMonth, tank.currency)} a month (assumed prices)`
            : ''}
          {then.cost.effort === 'NONE' ? '' : `. Work: ${EFFORT[then.cost.effort]}`}.
        </p>
      )}
      {then.media && (
        <p>
          The media last {mediaDays(then)}
          {then.media.halfDay !== undefined &&
            `. Half of the gain is gone by day ${Math.max(1, Math.round(then.media.halfDay))}`}
          .
        </p>
      )}
      {then.chemistry && <Moves chemistry={then.chemistry} days={days} />}
      {then.drawKept && (
        <p>
          The skimmer keeps {Math.round(then.drawKept.low * 100)}–
          {Math.round(then.drawKept.high * 100)} % of its air draw with this hose (suction assumed).
          {then.boreKeeping95Mm !== undefined &&
            ` A bore of ${show(then.boreKeeping95Mm, 'bore', units)} would keep 95 %.`}
        </p>
      )}
      {then.cautions.map((c) => (
        <p key={c} className="border-l-4 border-alk pl-3">
          {c}
        </p>
      ))}
    </>
  );
}

/** A dose that endangers animals is not drawn; the most that is allowed is. */
function Stopped({
  stopped,
  measures,
  puts,
  onChange,
}: {
  stopped: NonNullable<Forecast['stopped']>;
  measures: readonly MeasureKind[];
  puts: readonly PutMeasure[];
  onChange: (puts: PutMeasure[]) => void;
}) {
  const { units } = useAtTank();
  const parameter = measures
    .find((m) => m.kind === stopped.measure)
    ?.parameters.find((p) => p.name === stopped.setting);
  const put = puts.find((p) => p.kind === stopped.measure);
  if (!parameter || !put) return null;
  const allowed = Math.floor(stopped.allowed / parameter.step + 1e-9) * parameter.step;
  const shown = shownAs(parameter, allowed, units);
  return (
    <div role="alert" className="border-l-4 border-danger pl-3">
      <p>
        <strong className="text-danger">■ Stopped. </strong>
        {stopped.because} The drawing shows the highest safe dose, {shown} a day.
      </p>
      <Button
        look="quiet"
        onClick={() => onChange(withMeasure(measures, puts, turned(put, parameter, allowed)))}
      >
        Set it to {shown}
      </Button>
    </div>
  );
}

/** Where alkalinity, calcium and potassium go meanwhile. */
function Moves({
  chemistry,
  days,
}: {
  chemistry: NonNullable<Forecast['chemistry']>;
  days: number;
}) {
  const { units } = useAtTank();
  const ends = (course: number[]) => [course[0] ?? 0, course[course.length - 1] ?? 0] as const;
  const [alkalinityFrom, alkalinityTo] = ends(chemistry.alkalinityDkh);
  const [calciumFrom, calciumTo] = ends(chemistry.calciumMgPerL);
  const [, potassium] = ends(chemistry.potassiumGainMgPerL);
  const alkalinity = (dkh: number) => showAlkalinity(alkalinityToMeq(dkh, 'DKH'), units.alkalinity);
  return (
    <p>
      After {days} days alkalinity goes from {alkalinity(alkalinityFrom)} to{' '}
      {alkalinity(alkalinityTo)}, calcium from {Math.round(calciumFrom)} to {Math.round(calciumTo)}{' '}
      mg/L
      {potassium > 1 && <>, and potassium rises by {Math.round(potassium)} mg/L</>}.
    </p>
  );
}

/** By how much a set moves alkalinity itself. */
const changedDkh = (set: NamedSet | undefined) => {
  const put = set?.put.find((p) => p.kind === 'alkalinity');
  return put ? (put.numbers?.dkh ?? 1) : 0;
};

/** The map with an arrow for each set. */
function OnTheMap({
  bench,
  now,
  sets,
  forecasts,
}: {
  bench: Bench;
  now: Forecast;
  sets: NamedSet[];
  forecasts: Forecast[];
}) {
  const { tank, units } = useAtTank();
  const [ref, width] = useWidth();
  const meq = bench.alkalinityMeqPerL;
  const arrows = forecasts.flatMap((f, i) => {
    const set = sets[i];
    const change = alkalinityToMeq(changedDkh(set), 'DKH');
    return set ? [{ name: set.name, meqPerL: meq + change, ph: f.troughPh.value }] : [];
  });
  return (
    <section aria-labelledby="on-map" className="border-t pt-3">
      <h2 id="on-map" className="font-bold">
        On the map
        <span className="font-normal text-soft">
          {' '}
          · the settled daily low. Each line is the same CO2
        </span>
      </h2>
      <div ref={ref}>
        {width > 0 && (
          <RemedyMapDrawing
            map={bench.map}
            from={{ meqPerL: meq, ph: now.troughPh.value }}
            arrows={arrows}
            band={tank.description.band}
            unit={units.alkalinity}
            width={width}
          />
        )}
      </div>
    </section>
  );
}

/** What the twin rests on: measured, fitted, assumed. */
const Basis = memo(function Basis({ bench }: { bench: Bench }) {
  const { tank, units } = useAtTank();
  const scored = did(useForecastScore(tank.id).data?.trough, 'trough');
  return (
    <section aria-labelledby="basis" className="border-t pt-3 text-soft">
      <h2 id="basis" className="font-bold text-ink">
        What this model is based on
      </h2>
      <p>
        {bench.fitted ? (
          <>
            Fitted to 14 days of readings, each hour with the setup of then
            {bench.troughPh !== undefined && bench.peakPh !== undefined
              ? `. The current setup had ${bench.daysUsed} whole ${bench.daysUsed === 1 ? 'day' : 'days'} with an average low of ${bench.troughPh.toFixed(2)} and high of ${bench.peakPh.toFixed(2)}`
              : '. The current setup has no whole settled day yet'}
            . Ranges hold 9 of 10 models that fit your log.{' '}
            <Link
              to="/tank/$tankId/twin"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              What the model knows, and which measurement would help most
            </Link>
            . {bench.fitProblem}
          </>
        ) : (
          <>
            {bench.fitProblem ?? 'No log to fit yet.'} We assume a typical reef, with a wide range.{' '}
            <Link
              to="/tank/$tankId/bring"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              Import a logger’s file
            </Link>{' '}
            with three whole days of pH.
          </>
        )}{' '}
        Room air{' '}
        {bench.roomMeasured
          ? 'by hour, as measured in the last 14 days'
          : bench.roomM3 === undefined
            ? 'assumed'
            : 'estimated from who lives there, asleep from 23 to 7 h (assumed)'}
        . Outdoors {bench.outdoorPpm} ppm. Alkalinity{' '}
        {showAlkalinity(bench.alkalinityMeqPerL, units.alkalinity)}{' '}
        {bench.alkalinityMeasured ? '' : ' (assumed)'},{' '}
        {show(bench.temperatureC, 'temperature', units)}, salinity{' '}
        {show(bench.salinityPsu, 'salinity', units)}. Surfaces, falls, fish and skimmer as
        described. Air changes {bench.airChangesPerH.toFixed(2)} an hour.{' '}
        {bench.hose && ` ${hoseInWords(bench.hose)}`}
      </p>
      {scored && <p className="text-ink">{scored}</p>}
      {bench.contradiction && (
        <p className="mt-2 border-l-4 border-alk pl-3 text-ink">{bench.contradiction}</p>
      )}
    </section>
  );
});
