import type { Readiness } from '../../api/types';
import { money } from '../../lib/money';
import { useAtTank } from '../../TankContext';
import { hoursDown } from './outageTime';

/** What to buy next, by hours gained for its price. */
export function Purchases({ purchases }: { purchases: Readiness['purchases'] }) {
  const { tank } = useAtTank();
  if (purchases.length === 0) return null;
  return (
    <section aria-labelledby="next" className="border-t pt-4">
      <h2 id="next" className="text-lg font-bold">
        What to buy next
      </h2>
      <p className="text-sm text-soft">
        Hours gained for your weakest tank on the hottest night, best value first. Prices are
        assumed.
      </p>
      <table className="w-full text-left">
        <tbody>
          {purchases.map((p) => (
            <tr key={p.what} className="border-b">
              <td className="py-1.5 pr-4">
                {p.what}
                <Hazard caution={p.caution} />
              </td>
              <td className="pr-4 font-semibold whitespace-nowrap">+{hoursDown(p.gainedH)}</td>
              <td className="whitespace-nowrap">about {money(p.price, tank.currency)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** From nothing: what an outage of some length asks for. */
export function Tiers({ ready }: { ready: Readiness }) {
  const { tank } = useAtTank();
  const n = ready.tanks.length;
  return (
    <section aria-labelledby="tiers" className="border-t pt-4">
      <h2 id="tiers" className="text-lg font-bold">
        For an outage of
      </h2>
      <p className="text-sm text-soft">
        Cheapest purchase that keeps {n === 1 ? 'this tank' : `all ${n} tanks`} out of danger
        through the hottest night, by the earlier figure. Sizes and prices are assumed.
      </p>
      {ready.tiers.every((t) => t.what === undefined) ? (
        <p className="max-w-prose">
          No single purchase keeps {n === 1 ? 'this tank' : 'every tank'} out of danger for 2 hours.
          Combine air pumps, keep more water surface open, or run a generator for all pumps. Plan
          where the animals can go.
        </p>
      ) : (
        <table className="w-full text-left">
          <tbody>
            {ready.tiers.map((t) => (
              <tr key={t.hours} className="border-b">
                <td className="py-1.5 pr-4 font-semibold whitespace-nowrap">{t.hours} h</td>
                <td className="pr-4">
                  {t.what ?? 'more fuel or batteries, or a place to take the animals'}
                  <Hazard caution={t.caution} />
                </td>
                <td className="whitespace-nowrap">
                  {t.price !== undefined && `about ${money(t.price, tank.currency)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

const Hazard = ({ caution }: { caution?: string }) =>
  caution && <span className="block text-sm text-danger">✕ {caution}</span>;
