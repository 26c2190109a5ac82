import { useBench, useForecast } from '../../api/twin';
import type { PutMeasure } from '../../api/types';
import { ForecastDrawing } from '../../drawings/ForecastDrawing';
import { range, signedRange } from '../../lib/number';
import { alkalinityToMeq, showAlkalinity } from '../../lib/units';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';

const DAYS = 2;

interface Props {
  put: PutMeasure;
  /** Of all alkalinity that is dosed, 0 to 1, what other lines bring. */
  others: number;
}

/** Two days of the twin with a line, beside those without; where nothing is known of doses, in place of what is described. */
export function DayWithLine({ put, others }: Props) {
  const { tank, units } = useAtTank();
  const [ref, width] = useWidth();
  const bench = useBench(tank.id);
  const forecast = useForecast(
    tank.id,
    bench.data?.tanks,
    bench.data?.useDosed
      ? [{ measures: [onlyOthers(others)] }, { measures: [] }]
      : [{ measures: [] }, { measures: [put] }],
    DAYS,
  );
  const [now, then] = forecast.data ?? [];
  const ends = (course: number[] = []) => (course.at(-1) ?? 0) - (course[0] ?? 0);
  const alkalinity = ends(then?.chemistry?.alkalinityDkh);
  const calcium = ends(then?.chemistry?.calciumMgPerL);
  return (
    <figure ref={ref} className="grid gap-2">
      {width > 0 && bench.data && now && then ? (
        <>
          <ForecastDrawing
            now={now}
            then={then}
            lit={bench.data.lit}
            band={tank.description.band}
            zone={tank.zone}
            width={width}
          />
          <figcaption className="max-w-prose">
            {bench.data.useDosed
              ? `With this dosing the daily low settles at ${range(then.troughPh, 2)}, the high at ${range(then.peakPh, 2)}. Dashed: the low if ${others > 0 ? 'it' : 'all dosing'} stops, ${range(now.troughPh, 2)} within days. `
              : `With this line as the only alkalinity source the low settles ${signedRange(then.gainPh)} (${range(then.troughPh, 2)}, dashed: current setup), the high at ${range(then.peakPh, 2)}. `}
            {then.chemistry
              ? `In two days alkalinity changes by ${alkalinity < 0 ? '−' : '+'}${showAlkalinity(alkalinityToMeq(Math.abs(alkalinity), 'DKH'), units.alkalinity)}, calcium by ${calcium < 0 ? '−' : '+'}${Math.abs(calcium).toFixed(0)} mg/L.`
              : 'Alkalinity and calcium stay the same.'}
            {then.stopped && ` Stopped at its limit: ${then.stopped.because}`}
          </figcaption>
        </>
      ) : (
        <Waiting
          error={bench.error ?? forecast.error}
          retry={() => void (bench.error ? bench.refetch() : forecast.refetch())}
        />
      )}
    </figure>
  );
}

const onlyOthers = (share: number): PutMeasure => ({
  kind: 'doses-short',
  numbers: { times: share },
  choices: {},
});
