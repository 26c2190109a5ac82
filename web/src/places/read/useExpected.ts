import { useMemo } from 'react';
import { useBench, useForecast } from '../../api/twin';
import type { Ahead, Expected } from '../../lib/expected';

const NOTHING_ON = [{ measures: [] }];
const TWO_DAYS = 2;

/** From the model of the tank, between two moments; nothing until it is computed, or where it was not fitted to a log. */
export function useExpected(
  tankId: string,
  from: number,
  until: number,
  allowed: boolean,
): Ahead | undefined {
  const bench = useBench(tankId, allowed).data;
  const now = useForecast(tankId, bench?.fitted ? bench.tanks : undefined, NOTHING_ON, TWO_DAYS)
    .data?.[0];
  return useMemo(() => {
    if (!bench || !now) return undefined;
    const cut = (band: { low: number[]; high: number[] }) =>
      now.at.flatMap((second, i): Expected[] => {
        const at = second * 1000;
        const low = band.low[i];
        const high = band.high[i];
        return at < from || at > until || low === undefined || high === undefined
          ? []
          : [{ at, low, high }];
      });
    const ph = cut(now.ph);
    return ph.length < 2 ? undefined : { ph, oxygen: cut(now.oxygenMgPerL), lit: bench.lit };
  }, [bench, now, from, until]);
}
