import { useEffect, useState } from 'react';
import { applyTheme } from '../../frame/theme';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { useAtTank } from '../../TankContext';
import { Head } from './OutageHead';
import { Tanks } from './OutageHouse';
import { readCard } from './outageLog';
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
      {view.endedAt && !outage.rehearsal && <Report view={view} close={outage.close} />}
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
  const tell = useNotice();
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
  const start = () => {
    outage.start();
    tell('The clock runs.', () => void outage.remove());
  };
  return (
    <div className="grid max-w-2xl gap-6">
      <h1 className="text-xl font-bold">The mains are on</h1>
      <p>
        When the power fails, press this first, even for a short cut. If animals gasp at the
        surface, aerate before you press.
      </p>
      <Button look="main" className="min-h-20 text-2xl!" onClick={start}>
        Power is out
      </Button>
      {outage.reached === 'gone' && (
        <p role="status" className="font-semibold">
          The server does not answer. The clock starts all the same.
        </p>
      )}
      {problem && (
        <p role="alert" className="font-semibold">
          ✕ {problem}
        </p>
      )}
      <section aria-labelledby="rehearsal" className="grid gap-2 border-t pt-4">
        <h2 id="rehearsal" className="font-bold">
          Rehearse a power cut
        </h2>
        <p className="text-sm text-soft">
          Go through your own steps with the clock running. A rehearsal is not saved and counts as
          no outage.
        </p>
        <Button className="justify-self-start" onClick={outage.rehearse}>
          Start a rehearsal
        </Button>
      </section>
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
