import type { Readiness, Times } from '../../api/types';
import { nightsHeight, NightsDrawing, type NightBar } from '../../drawings/NightsDrawing';
import { useWidth } from '../../parts/useWidth';
import { hoursDown, spanDown } from './outageTime';

type TankNights = Readiness['tanks'][number];

const NIGHTS: readonly { name: string; of: (t: TankNights) => Times; trusted?: boolean }[] = [
  { name: 'hottest night, with kit', of: (t) => t.keptSummer },
  { name: 'tonight, with kit', of: (t) => t.keptTonight },
  { name: 'cold night, with kit', of: (t) => t.keptWinter, trusted: true },
  { name: 'hottest night, nobody home', of: (t) => t.alone },
  { name: 'tonight, without kit', of: (t) => t.bareTonight },
];

/** A drawing for each of so many; more tanks are rows of a table, the weakest first. */
const DRAWN = 2;

/** What is said of hours until danger, the earlier end rounded down. */
function said({ early, late }: Times, lookedAhead: number): string {
  if (early === undefined) return `over ${lookedAhead} h`;
  return late === undefined ? `${hoursDown(early)} or more` : spanDown(early, late);
}

/** How long each tank has oxygen on hard nights, against an outage of some length. */
export function Nights({ ready, outageH }: { ready: Readiness; outageH: number }) {
  const [ref, width] = useWidth();
  const drawn = ready.tanks.slice(0, ready.tanks.length > DRAWN + 1 ? 1 : DRAWN + 1);
  const bars = (t: TankNights): NightBar[] =>
    NIGHTS.filter((n) => n.trusted || !t.unlikely).map((n) => ({
      name: n.name,
      ...n.of(t),
      said: said(n.of(t), ready.hoursLookedAhead),
    }));
  return (
    <div ref={ref} className="grid gap-4">
      {drawn.map((t) => (
        <section key={t.tankId} aria-label={t.name}>
          {ready.tanks.length > 1 && <h2 className="font-semibold">{t.name}</h2>}
          <div style={{ minHeight: nightsHeight(bars(t).length, width) }}>
            {width > 0 && <NightsDrawing nights={bars(t)} outageH={outageH} width={width} />}
          </div>
        </section>
      ))}
      {drawn.length < ready.tanks.length && (
        <NightTable tanks={ready.tanks.slice(drawn.length)} lookedAhead={ready.hoursLookedAhead} />
      )}
    </div>
  );
}

function NightTable({ tanks, lookedAhead }: { tanks: readonly TankNights[]; lookedAhead: number }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <thead className="text-sm text-soft">
          <tr>
            <th className="pr-4 font-normal">tank</th>
            {NIGHTS.map((n) => (
              <th key={n.name} className="pr-4 font-normal">
                {n.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {tanks.map((t) => (
            <tr key={t.tankId} className="border-t">
              <td className="py-1.5 pr-4 font-semibold">{t.name}</td>
              {NIGHTS.map((n) => (
                <td key={n.name} className="pr-4">
                  {n.trusted || !t.unlikely ? said(n.of(t), lookedAhead) : 'check description'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
