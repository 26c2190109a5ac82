import { Link } from '@tanstack/react-router';
import { useOxygenMargin } from '../../api/twin';
import type { OxygenMargin, Night } from '../../api/types';
import { OxygenMarginDrawing, STRAIN, UNDER } from '../../drawings/OxygenMarginDrawing';
import { capital } from '../../lib/capital';
import { clockTime } from '../../lib/time';
import { HowWorkedOut } from '../../parts/HowWorkedOut';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { hoursDown } from './outageTime';

/** Guard → Oxygen margin: will they have oxygen at the worst hour? */
export function OxygenMarginScreen() {
  const { tank } = useAtTank();
  const margin = useOxygenMargin(tank.id);
  if (!margin.data) {
    return (
      <>
        <Waiting error={margin.error} retry={() => void margin.refetch()} />
        {!margin.error && <p className="px-6 text-soft">Simulating the hardest nights…</p>}
      </>
    );
  }
  return <Answered margin={margin.data} />;
}

function Answered({ margin }: { margin: OxygenMargin }) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  const { nights, still, changes, stoneNeeded, stone, contradicted } = margin.answer;
  const asItIs = nights.find((night) => night.strain === 'AS_IT_IS')?.lowestMgPerL ?? 0;
  const worst = nights.reduce((a, b) => (b.lowestMgPerL < a.lowestMgPerL ? b : a));
  const first = changes[0];
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <section aria-labelledby="margin" className="grid content-start gap-4">
        <h1 id="margin" className="text-xl font-bold">
          Oxygen at the worst hour
        </h1>
        <p className="max-w-prose text-2xl leading-snug font-semibold">
          {contradicted ? 'This description can’t be right.' : verdict(margin, worst)}
        </p>
        {contradicted && (
          <p className="max-w-prose border-l-4 border-alk pl-3">
            As described, even an ordinary night would fall to {asItIs.toFixed(1)} mg/L, where
            animals suffocate. If yours gasp, give them air now. If they don’t, something else adds
            oxygen, or they use less. Count the fish again, describe the overflow and every air
            stone, and measure oxygen at dawn.
          </p>
        )}
        <div ref={ref}>
          {width > 0 && (
            <OxygenMarginDrawing
              nights={nights}
              caution={margin.cautionMgPerL}
              danger={margin.dangerMgPerL}
              width={width}
            />
          )}
        </div>
        <table className="w-full text-left">
          <thead className="text-sm text-soft">
            <tr>
              <th className="font-normal">night</th>
              <th className="font-normal">lowest at</th>
              <th className="font-normal">demand</th>
              <th className="font-normal">supply at {margin.cautionMgPerL} mg/L</th>
              <th className="font-normal">supply / demand</th>
            </tr>
          </thead>
          <tbody>
            {nights.map((night) => (
              <tr key={night.strain} className="border-t">
                <td className="py-1">{STRAIN[night.strain]}</td>
                <td>{clockTime(night.at, tank.zone)}</td>
                <td>{night.demandMgPerLPerH.toFixed(2)}</td>
                <td>{night.supplyMgPerLPerH.toFixed(2)}</td>
                <td className="font-semibold">
                  {(night.supplyMgPerLPerH / night.demandMgPerLPerH).toFixed(1)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="text-sm text-soft">Animals that gasp override every number.</p>
        <HowWorkedOut>
          Demand and supply in mg/L an hour, for the worst model that fits your log, with{' '}
          {margin.fish} fish. Bubbles count as rigid, for safety. The lines at{' '}
          {margin.cautionMgPerL} and {margin.dangerMgPerL} mg/L are from memory, not measured here.
        </HowWorkedOut>
      </section>
      <aside aria-label="What to do" className="grid content-start gap-5 lg:border-l lg:pl-8">
        <div>
          <h2 className="font-bold">Is an air stone needed?</h2>
          <p>
            {stoneNeeded
              ? `Yes. Without one the worst night falls to ${worst.lowestMgPerL.toFixed(1)} mg/L. `
              : `Not for these nights. The worst stays at ${worst.lowestMgPerL.toFixed(1)} mg/L. `}{' '}
            A stone with {Math.round(margin.litres)} L of air an hour (one tank volume, common
            practice) would hold {stone.lowestMgPerL.toFixed(1)}.
          </p>
        </div>
        {first && (
          <div>
            <h2 className="font-bold">The first thing to change</h2>
            <p>
              {capital(first.what)}. The worst night then stays at {first.lowestMgPerL.toFixed(1)}{' '}
              mg/L.
            </p>
            <ul className="text-soft">
              {changes.slice(1).map((change) => (
                <li key={change.what}>
                  {change.what}: {change.lowestMgPerL.toFixed(1)}
                </li>
              ))}
            </ul>
          </div>
        )}
        <div>
          <h2 className="font-bold">If the power fails at the worst hour</h2>
          <p>
            {still.danger.early === undefined
              ? 'Oxygen stays out of danger for two days.'
              : `Oxygen may be dangerous after ${hoursDown(still.danger.early)}${still.danger.likely === undefined ? '' : `, likely after ${hoursDown(still.danger.likely)}`}.`}{' '}
            {still.caution.early !== undefined &&
              `It may pass the caution line after ${hoursDown(still.caution.early)}. `}
            Readiness shows the same night: the hottest, without backup.
          </p>
        </div>
        {!margin.fitted && (
          <p className="border-l-4 border-alk pl-3">
            No log to fit yet: we assume an ordinary mixed reef.{' '}
            <Link
              to="/tank/$tankId/bring"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              Import a logger’s file
            </Link>
            .
          </p>
        )}
        {!margin.fishDescribed && (
          <p className="border-l-4 border-alk pl-3">
            No fish described, so we assume {margin.fish} of 20 g.{' '}
            <Link
              to="/tank/$tankId/description"
              params={{ tankId: tank.id }}
              className="underline underline-offset-4"
            >
              Describe your fish
            </Link>
          </p>
        )}
      </aside>
    </div>
  );
}

function verdict(margin: OxygenMargin, worst: Night): string {
  const lowest = `${worst.lowestMgPerL.toFixed(1)} mg/L before lights-on`;
  if (worst.lowestMgPerL < margin.dangerMgPerL)
    return `✕ Danger: ${UNDER[worst.strain]} oxygen falls to ${lowest}.`;
  if (worst.lowestMgPerL < margin.cautionMgPerL)
    return `Narrow margin: ${UNDER[worst.strain]} oxygen falls to ${lowest}, below the caution line.`;
  return `Enough oxygen: even ${UNDER[worst.strain]} it stays at ${lowest}.`;
}
