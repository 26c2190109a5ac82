import { useEffect, useState } from 'react';
import type { OutageView } from '../../api/types';
import { applyTheme } from '../../frame/theme';
import { dayAndTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useAtTank } from '../../TankContext';
import { Tanks } from './OutageHouse';
import { readCard } from './outageLog';
import { useNow } from '../../parts/useNow';
import { since, span } from './outageTime';
import { Report } from './Report';
import { useOutage } from './useOutage';

/** Guard → Outage: the clock and the next action. */
export function OutageScreen() {
  const { tank } = useAtTank();
  const outage = useOutage(tank.homeId);
  const { view } = outage;
  useDarkness(view !== null);
  if (!view) return <Quiet outage={outage} />;
  return (
    <div className="mx-auto grid max-w-3xl gap-6">
      <Head outage={outage} view={view} />
      <Tanks view={view} note={outage.note} />
      <NeverDo />
      {view.endedAt && <Report view={view} close={outage.close} />}
    </div>
  );
}

/** The whole page is dim while the lights are out: somebody reads it in the dark. */
function useDarkness(dark: boolean) {
  useEffect(() => {
    if (!dark) return undefined;
    document.documentElement.dataset.theme = 'night';
    return applyTheme;
  }, [dark]);
}

type UsedOutage = ReturnType<typeof useOutage>;

function Quiet({ outage }: { outage: UsedOutage }) {
  const { tank } = useAtTank();
  const [problem, setProblem] = useState<string | null>(null);
  const bring = async (file: File | undefined) => {
    setProblem(null);
    if (!file) return;
    const card = readCard(await file.text(), tank.homeId);
    if (typeof card === 'string') {
      setProblem(card);
      return;
    }
    await outage
      .bring(card)
      .catch((e: unknown) =>
        setProblem(e instanceof Error ? e.message : 'The log could not be brought in.'),
      );
  };
  return (
    <div className="grid max-w-2xl gap-6">
      <h1 className="text-xl font-bold">The mains are on</h1>
      <p>
        When the power fails, press this first, even for a short cut. Animals that gasp at the
        surface beat every number: aerate, then press.
      </p>
      <Button
        look="main"
        className="min-h-20 text-2xl!"
        onClick={() =>
          void outage.start().catch((e: unknown) => setProblem(e instanceof Error ? e.message : ''))
        }
      >
        The power is out
      </Button>
      {outage.reached === false && (
        <p role="alert" className="font-semibold">
          ✕ The server does not answer. Use the pocket card on your phone.
        </p>
      )}
      {problem && (
        <p role="alert" className="font-semibold">
          ✕ {problem}
        </p>
      )}
      <section aria-labelledby="card" className="grid gap-2 border-t pt-4">
        <h2 id="card" className="font-bold">
          A log from a pocket card
        </h2>
        <label className="text-sm text-soft" htmlFor="card-file">
          The file that the card saved. Bringing it in twice does no harm.
        </label>
        <input
          id="card-file"
          type="file"
          accept="application/json,.json"
          onChange={(e) => void bring(e.target.files?.[0])}
        />
      </section>
    </div>
  );
}

function Head({ outage, view }: { outage: UsedOutage; view: OutageView }) {
  const { tank } = useAtTank();
  const now = useNow();
  return (
    <header className="grid gap-3">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1>
          <span className="block text-soft">
            {view.endedAt ? 'The power was out for' : 'No power for'}
          </span>
          <span className="text-5xl font-bold">{span(since(view, now))}</span>
        </h1>
        {!view.endedAt && (
          <Button className="min-h-14 text-lg" onClick={outage.end}>
            The power is back
          </Button>
        )}
      </div>
      <p className="text-soft">
        since {dayAndTime(view.startedAt, tank.zone)}
        {view.cuts > 1 && `, ${view.cuts} cuts`}
        {!view.endedAt && outage.reached && (
          <Button look="quiet" onClick={() => void outage.beganEarlier(15)}>
            it began 15 min earlier
          </Button>
        )}
      </p>
      {outage.refused && (
        <p role="alert" className="font-semibold">
          ✕ {outage.refused}
        </p>
      )}
      {outage.reached === false && (
        <p role="status" className="border-l-4 border-alk pl-3">
          The server does not answer. Go on: what you note stays on this device and is sent when it
          is back{outage.waiting > 0 && ` (${outage.waiting} waiting)`}. Predictions stand still
          until then
          {outage.planAt && `; they are those of ${dayAndTime(outage.planAt, tank.zone)}`}.
        </p>
      )}
    </header>
  );
}

function NeverDo() {
  return (
    <section aria-labelledby="never" className="border-t pt-4">
      <h2 id="never" className="font-bold text-danger">
        ✕ Never
      </h2>
      <ul className="list-disc pl-5">
        <li>
          A generator or a fuel heater indoors, in a garage, or near a window: carbon monoxide kills
          without a smell. Never refuel it hot.
        </li>
        <li>
          Power back into the house through a socket: a licensed electrician fits a switch for that.
        </li>
        <li>
          Ice or boiling water into the tank; a cover that closes its surface; a flame in a shut
          room.
        </li>
        <li>Food; and a canister that stood for four hours, restarted dirty.</li>
      </ul>
    </section>
  );
}
