import { getRouteApi, Link } from '@tanstack/react-router';
import { useDeferredValue, useMemo } from 'react';
import { useBench, useForecast } from '../../../api/hooks';
import type { Bench, Estimate, Forecast } from '../../../api/types';
import { ForecastDrawing } from '../../../drawings/ForecastDrawing';
import { clockTime } from '../../../lib/time';
import { signed } from '../../../lib/number';
import { showAlkalinity } from '../../../lib/units';
import { Button } from '../../../parts/Button';
import { useWidth } from '../../../parts/useWidth';
import { Waiting } from '../../../parts/Waiting';
import { useAtTank } from '../../../TankContext';
import { Remedies } from './Remedies';
import { inWords, means, type NamedSet } from './sets';

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
        {!bench.error && <p className="px-6 text-soft">Fitting a twin to this tank’s log …</p>}
      </>
    );
  }
  return <OnTheBench bench={bench.data} />;
}

function OnTheBench({ bench }: { bench: Bench }) {
  const { tank } = useAtTank();
  const { sets = [{ name: 'A', put: {} }] } = route.useSearch();
  const navigate = route.useNavigate();
  const [ref, width] = useWidth();
  const current = sets[0] ?? { name: 'A', put: {} };
  const asked = useDeferredValue(sets);
  const variants = useMemo(() => [{}, ...asked.map((s) => s.put)], [asked]);
  const forecast = useForecast(tank.id, bench.tanks, variants);
  const save = (changed: NamedSet[]) => void navigate({ search: { sets: changed }, replace: true });
  const [now, then, ...kept] = forecast.data ?? [];
  const changed = inWords(current.put) !== 'as it is';
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 lg:grid-cols-[20rem_minmax(0,1fr)]">
      <section aria-labelledby="remedies" className="order-2 lg:order-1 lg:border-r lg:pr-6">
        <h1 id="remedies" className="pb-1 text-xl font-bold">
          Put a remedy on the tank
        </h1>
        <Remedies
          bench={bench}
          put={current.put}
          onChange={(put) => save([{ ...current, put }, ...sets.slice(1)])}
        />
        {changed && (
          <div className="flex flex-wrap gap-2 pt-3">
            <Button
              disabled={sets.length >= MAX_SETS}
              onClick={() =>
                save([{ name: LETTERS[sets.length] ?? 'E', put: {} }, current, ...sets.slice(1)])
              }
            >
              Keep it, try another
            </Button>
            <Button look="quiet" onClick={() => save([{ ...current, put: {} }, ...sets.slice(1)])}>
              take all off
            </Button>
          </div>
        )}
      </section>
      <div className="order-1 grid grid-cols-[minmax(0,1fr)] content-start gap-4 lg:order-2">
        <section aria-labelledby="ahead">
          <h2 id="ahead" className="pb-1 text-xl font-bold">
            The next two days
            <span className="font-normal text-soft">
              {changed ? ' · dashed: as it is' : ' · as it is'}
            </span>
          </h2>
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
          <section aria-label="What it brings" className="grid gap-3" aria-live="polite">
            <Brings now={now} then={changed ? then : now} set={current} zone={tank.zone} />
            {kept.length > 0 && (
              <Compared
                rows={[
                  { set: current, forecast: then },
                  ...kept.map((f, i) => ({ set: sets[i + 1] ?? current, forecast: f })),
                ]}
                drop={(i) => save(sets.filter((_, at) => at !== i))}
              />
            )}
          </section>
        )}
        <Basis bench={bench} />
      </div>
    </div>
  );
}

const range = (e: Estimate, digits: number) =>
  e.high - e.low < 0.5 * 10 ** -digits
    ? e.value.toFixed(digits)
    : `${e.low.toFixed(digits)} to ${e.high.toFixed(digits)}`;
const signedRange = (e: Estimate) =>
  e.high - e.low < 0.005 ? signed(e.value, 2) : `${signed(e.low, 2)} to ${signed(e.high, 2)}`;

/** The set in two sentences, then its cautions. */
function Brings({
  now,
  then,
  set,
  zone,
}: {
  now: Forecast;
  then: Forecast;
  set: NamedSet;
  zone: string;
}) {
  return (
    <>
      <p className="text-lg leading-snug">
        <strong className="text-2xl">{signedRange(then.gainPh)}</strong> on the trough once settled:{' '}
        {range(then.troughPh, 2)} at {clockTime(then.troughAt, zone)}, as it is{' '}
        {now.troughPh.value.toFixed(2)}. Peak {range(then.peakPh, 2)}; lowest oxygen{' '}
        {range(then.lowestOxygenMgPerL, 1)} mg/L. <em className="not-italic">{inWords(set.put)}</em>
        : {means(set.put)}.
      </p>
      {then.drawKept && (
        <p>
          The hose keeps {Math.round(then.drawKept.low * 100)} to{' '}
          {Math.round(then.drawKept.high * 100)} % of the draw (the skimmer’s suction is assumed);{' '}
          {then.boreKeeping95Mm} mm would keep 95 %.
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

function Compared({
  rows,
  drop,
}: {
  rows: { set: NamedSet; forecast: Forecast }[];
  drop: (i: number) => void;
}) {
  return (
    <table className="w-full">
      <thead className="text-left text-sm text-soft">
        <tr>
          <th className="font-normal">set</th>
          <th className="font-normal">trough</th>
          <th className="font-normal">gain</th>
          <th className="font-normal">oxygen</th>
          <th className="sr-only">take away</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ set, forecast }, i) => (
          <tr key={set.name} className="border-b">
            <td className="py-1 pr-3">
              <strong>{set.name}</strong> {inWords(set.put)}
            </td>
            <td className="pr-3 whitespace-nowrap">{range(forecast.troughPh, 2)}</td>
            <td className="pr-3 whitespace-nowrap">{signedRange(forecast.gainPh)}</td>
            <td className="whitespace-nowrap">{range(forecast.lowestOxygenMgPerL, 1)}</td>
            <td className="text-right">
              <Button look="quiet" aria-label={`Take ${set.name} away`} onClick={() => drop(i)}>
                ✕
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What the twin rests on: measured, fitted, assumed. */
function Basis({ bench }: { bench: Bench }) {
  const { tank, units } = useAtTank();
  const first = bench.tanks[0];
  return (
    <section aria-labelledby="basis" className="border-t pt-3 text-soft">
      <h2 id="basis" className="font-bold text-ink">
        What this twin rests on
      </h2>
      <p>
        {bench.fitted && bench.troughPh !== undefined && bench.peakPh !== undefined ? (
          <>
            Fitted to {bench.daysUsed} whole days since the tank last changed: trough{' '}
            {bench.troughPh.toFixed(2)}, peak {bench.peakPh.toFixed(2)}. Its breath comes out as{' '}
            {first?.respirationMmolPerLPerH.toFixed(4)} mmol/(L·h), its photosynthesis as{' '}
            {first?.photosynthesisMmolPerLPerH.toFixed(4)}.{' '}
            {bench.tanks.length > 1 &&
              'The log cannot tell a weak skimmer from a quiet reef, so the band is drawn between tanks that all agree with it; an oxygen log through a night would tell them apart.'}
          </>
        ) : (
          <>
            No log to fit to yet: an ordinary mixed reef is assumed.{' '}
            <Link
              to="/tank/$tankId/bring"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              Bring in a logger’s file
            </Link>{' '}
            with three whole days of pH.
          </>
        )}{' '}
        Room air {bench.roomMeasured ? 'by hours, as measured in the last fortnight' : 'assumed'};
        outdoors {bench.outdoorPpm} ppm; alkalinity{' '}
        {showAlkalinity(bench.alkalinityMeqPerL, units.alkalinity)}
        {bench.alkalinityMeasured ? '' : ' (assumed)'}; {bench.temperatureC.toFixed(1)} °C, S{' '}
        {bench.salinityPsu.toFixed(1)}. Surfaces and skimmer as described. Falls and overflows are
        not yet in it.
      </p>
    </section>
  );
}
