import { useEffect, useState } from 'react';
import { applyTheme } from '../../frame/theme';
import { Button } from '../../parts/Button';
import { FileButton } from '../../parts/FileButton';
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
  const bring = async (file: File) => {
    setProblem(null);
    const card = readCard(await file.text(), tank.homeId);
    if (typeof card === 'string') {
      setProblem(card);
      return;
    }
    await outage
      .bring(card)
      .catch((e: unknown) =>
        setProblem(e instanceof Error ? e.message : 'We couldn’t import the log.'),
      );
  };
  const start = () => {
    outage.start();
    tell('The clock runs.', () => void outage.remove());
  };
  return (
    <div className="grid max-w-2xl gap-6">
      <h1 className="text-xl font-bold">Power is on</h1>
      <p>Press this first when the power fails. Aerate before that if animals gasp.</p>
      <Button look="main" className="min-h-20 text-2xl!" onClick={start}>
        Power is out
      </Button>
      {outage.reached === 'gone' && (
        <p role="status" className="font-semibold">
          The server does not answer. The clock still starts.
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
          Practise your own steps with the clock running. Nothing is saved.
        </p>
        <Button className="justify-self-start" onClick={outage.rehearse}>
          Start a rehearsal
        </Button>
      </section>
      <section aria-labelledby="card" className="grid gap-2 border-t pt-4">
        <h2 id="card" className="font-bold">
          Import a pocket card log
        </h2>
        <p className="text-sm text-soft">Choose the file from the card. Importing twice is safe.</p>
        <FileButton
          label="File from the card"
          accept="application/json,.json"
          take={(file) => void bring(file)}
        >
          Choose the card’s file
        </FileButton>
      </section>
    </div>
  );
}

function NeverDo() {
  return (
    <section aria-labelledby="never" className="border-t pt-4">
      <h2 id="never" className="font-bold text-danger">
        ✕ Never do this
      </h2>
      <ul className="list-disc pl-5">
        <li>
          Never run generators or fuel heaters indoors, in garages or near windows. Carbon monoxide
          kills without a smell. Never refuel a hot generator.
        </li>
        <li>Never feed power into a socket. A licensed electrician fits a switch.</li>
        <li>
          Never add ice or boiling water. Never cover the whole surface. Never light a flame in a
          closed room.
        </li>
        <li>Never feed. Never restart a dirty canister after four hours.</li>
      </ul>
    </section>
  );
}
