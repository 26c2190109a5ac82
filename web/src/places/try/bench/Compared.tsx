import type { Bench, Forecast } from '../../../api/types';
import { scaleOfDays, SettledDayDrawing } from '../../../drawings/SettledDayDrawing';
import { money } from '../../../lib/money';
import { between, range, signedRange } from '../../../lib/number';
import { Button } from '../../../parts/Button';
import { useAtTank } from '../../../TankContext';
import { means, type NamedSet, setInWords } from './sets';

export const EFFORT: Record<Forecast['cost']['effort'], string> = {
  NONE: 'no work',
  MINUTES: 'minutes',
  AN_EVENING: 'an evening',
  A_WEEKEND: 'a weekend',
};

/** Up to four sets beside each other: a settled day of each on one scale, then line by line. */
export function Compared({
  bench,
  rows,
  open,
  drop,
}: {
  bench: Bench;
  rows: { set: NamedSet; forecast: Forecast }[];
  open: (i: number) => void;
  drop: (i: number) => void;
}) {
  const { tank, units } = useAtTank();
  const goal = tank.description.band.troughAtLeast;
  const scale = scaleOfDays(
    rows.map((r) => r.forecast),
    goal,
  );
  const lines: { what: string; of: (f: Forecast, set: NamedSet) => string }[] = [
    { what: 'daily low', of: (f) => range(f.troughPh, 2) },
    { what: 'gain', of: (f) => signedRange(f.gainPh) },
    { what: 'daily high', of: (f) => range(f.peakPh, 2) },
    { what: 'swing', of: (f) => (f.peakPh.value - f.troughPh.value).toFixed(2) },
    { what: 'lowest oxygen, mg/L', of: (f) => range(f.lowestOxygenMgPerL, 1) },
    { what: 'settled after', of: (f) => `${Math.round(f.settleHours.value)} h` },
    { what: 'next media change', of: (f) => mediaDays(f) },
    { what: 'to buy', of: (f) => money(f.cost.toFit, tank.currency) },
    { what: 'a month', of: (f) => money(f.cost.perMonth, tank.currency) },
    { what: 'work', of: (f) => EFFORT[f.cost.effort] },
    { what: 'does', of: (f) => means(f.ways) },
  ];
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <thead>
          <tr className="align-bottom">
            <th className="sr-only">figure</th>
            {rows.map(({ set }, i) => (
              <th key={set.name} className="pr-4 pb-1 font-normal">
                <span className="flex items-center gap-1">
                  <Button
                    look="quiet"
                    className="font-bold text-ink"
                    disabled={i === 0}
                    onClick={() => open(i)}
                  >
                    {set.name}
                  </Button>
                  <Button look="quiet" aria-label={`Remove ${set.name}`} onClick={() => drop(i)}>
                    ✕
                  </Button>
                </span>
                <span className="block text-sm text-soft">
                  {setInWords(set, bench.measures, bench.standing, units)}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr className="align-bottom">
            <th className="pr-4 text-sm font-normal whitespace-nowrap text-soft">settled day</th>
            {rows.map(({ set, forecast }) => (
              <td key={set.name} className="pr-4">
                <SettledDayDrawing forecast={forecast} scale={scale} goal={goal} name={set.name} />
              </td>
            ))}
          </tr>
          {lines.map((line) => (
            <tr key={line.what} className="border-t">
              <th className="py-1 pr-4 text-sm font-normal whitespace-nowrap text-soft">
                {line.what}
              </th>
              {rows.map(({ set, forecast }) => (
                <td key={set.name} className="pr-4">
                  {line.of(forecast, set)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-sm text-soft">
        Prices are assumed round figures. Electricity is priced as in your home where described.
      </p>
    </div>
  );
}

/** Days until the media are due, and why. */
export function mediaDays(f: Forecast): string {
  if (!f.media) return '–';
  const { end, days } = f.media;
  if (end === 'NEITHER') return 'none within a year';
  const about =
    days.high - days.low < 1
      ? `${Math.round(days.value)}`
      : between(String(Math.round(days.low)), String(Math.round(days.high)));
  return `${about} days, then ${end === 'DROWNED' ? 'drowned' : 'spent'}`;
}
