import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import {
  useBeginExperiment,
  useCallOffExperiment,
  useExperiments,
  usePlanExperiment,
} from '../../api/experiments';
import { useTwin } from '../../api/twin';
import type { Chosen, OverExperiment } from '../../api/types';
import { FindingsDrawing } from '../../drawings/FindingsDrawing';
import { ROUTE } from '../../frame/places';
import { clockTime, dayAndTime, localInput } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useNow } from '../../parts/useNow';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { came, finding, narrows } from './known';

/** Reason → Experiment: the one that would tell more, step by step, and what those before showed. */
export function ExperimentScreen() {
  const { tank } = useAtTank();
  const all = useExperiments(tank.id);
  if (!all.data) return <Waiting error={all.error} retry={() => void all.refetch()} />;
  const { current, over } = all.data;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
      {!current ? <Choose /> : current.stage === 'PLANNED' ? <Ready chosen={current} /> : <While />}
      {over.map((one) => (
        <Over key={one.chosen.id} over={one} />
      ))}
    </div>
  );
}

/** Those that need a guard; what the others would tell stands at the twin. */
function Choose() {
  const { tank } = useAtTank();
  const twin = useTwin(tank.id, undefined);
  const plan = usePlanExperiment(tank.id);
  if (!twin.data) return <Waiting error={twin.error} retry={() => void twin.refetch()} />;
  const { experiments, open } = twin.data;
  const guarded = experiments.filter((e) => e.lowestOxygenMgPerL !== undefined);
  return (
    <section aria-labelledby="choose" className="grid max-w-prose gap-4">
      <h1 id="choose" className="text-xl font-bold">
        Experiments with this tank
      </h1>
      {guarded.length === 0 && (
        <p>
          No experiment fits this tank. Experiments need lamps with a dark phase, and most need a
          skimmer.
        </p>
      )}
      {guarded.map((e) => (
        <div key={e.experiment} className="grid gap-1 border-b pb-4">
          <h2 className="text-lg font-semibold first-letter:uppercase">{e.name}</h2>
          {e.from && e.until && (
            <p>
              Next {dayAndTime(e.from, tank.zone)} to {clockTime(e.until, tank.zone)}.
            </p>
          )}
          <p>
            {narrows(e, open).length > 0
              ? `Narrows ${narrows(e, open).join(', ')}.`
              : 'Too little to learn here.'}{' '}
            Oxygen could fall to {(e.lowestOxygenMgPerL ?? 0).toFixed(1)} mg/L (9 in 10).
          </p>
          {e.allowed ? (
            <div>
              <Button
                aria-label={`Plan this: ${e.name}`}
                disabled={plan.isPending}
                onClick={() => plan.mutate(e.experiment)}
              >
                Plan this
              </Button>
            </div>
          ) : (
            <p className="font-semibold">
              Not here: we allow no experiment below 5 mg/L of oxygen.
            </p>
          )}
        </div>
      ))}
      <Refusal message={plan.error?.message} />
      <p>
        <Link to={ROUTE.twin} params={{ tankId: tank.id }} className={buttonLook('quiet')}>
          What buffers, kits and meters would show
        </Link>
      </p>
    </section>
  );
}

const BEGUN: Record<Chosen['stops'], string> = {
  SKIMMER: 'The skimmer is off',
  LAMPS: 'The lamps stay off',
  NOTHING: 'Experiment started',
};

const AS_ALWAYS =
  'Check that the pH probe logs, best every five minutes. Feed as usual. Keep doors and windows as usual.';
const NO_DOSES =
  'Don’t dose limewater, carbonate or anything else that moves pH from one hour before until six hours after.';

/** What to see to before it begins. */
const STEPS: Record<Chosen['stops'], (until: string) => string[]> = {
  SKIMMER: (until) => [
    'Only do this while someone at home can switch the skimmer on again.',
    `Set an alarm on your phone for ${until}, or subscribe to your due calendar. This page also sounds while open, but don’t rely on that.`,
    'Keep an air stone with its pump ready beside the tank.',
    AS_ALWAYS,
    NO_DOSES,
    'Switch the skimmer off and press the button below. Watch the animals. If they gasp, stop at once.',
  ],
  LAMPS: (until) => [
    'Only do this with healthy animals: pale or newly added corals need their light.',
    'One day only, never two in a row. Daylight on the tank counts: draw the curtain.',
    `Set an alarm for ${until}. Then put the lamps back on their timer for the next morning.`,
    'Keep an air stone with its pump ready: without light the tank makes no oxygen.',
    AS_ALWAYS,
    NO_DOSES,
    'Take the lamps off their timer before they come on, then press the button below. If animals gasp, stop at once.',
  ],
  NOTHING: () => [AS_ALWAYS, NO_DOSES],
};

/** What to see to before, and the press with which it begins. */
function Ready({ chosen }: { chosen: Chosen }) {
  const { tank } = useAtTank();
  const begin = useBeginExperiment(tank.id);
  const callOff = useCallOffExperiment(tank.id);
  const tell = useNotice();
  const now = useNow();
  const [at, setAt] = useState('');
  return (
    <section aria-labelledby="ready" className="grid max-w-prose gap-4">
      <h1 id="ready" className="text-xl font-bold first-letter:uppercase">
        {chosen.name}
      </h1>
      <p className="text-2xl leading-snug font-semibold">
        {dayAndTime(chosen.from, tank.zone)} to {clockTime(chosen.until, tank.zone)}
      </p>
      <p>
        Oxygen could fall to {chosen.lowestOxygenMgPerL.toFixed(1)} mg/L (9 in 10). We check again
        when you start, and refuse below 5.
      </p>
      <ol className="grid list-decimal gap-1.5 pl-5">
        {STEPS[chosen.stops](clockTime(chosen.until, tank.zone)).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <div className="flex flex-wrap items-end gap-3">
        <Button
          look="main"
          disabled={begin.isPending}
          onClick={() => begin.mutate({ id: chosen.id, at: at === '' ? undefined : at })}
        >
          {begin.isPending ? 'Checking the oxygen…' : BEGUN[chosen.stops]}
        </Button>
        <When
          label="Since (empty: now)"
          kind="moment"
          max={localInput(new Date(now), tank.zone)}
          value={at}
          onChange={(e) => setAt(e.target.value)}
          error={begin.error?.at('at')}
        />
        <Button
          look="quiet"
          disabled={callOff.isPending}
          onClick={() =>
            // This screen is gone by then: what is said after it hangs on the promise.
            void callOff
              .mutateAsync(chosen.id)
              .then(() => tell('Cancelled.'))
              .catch(() => undefined)
          }
        >
          Cancel
        </Button>
      </div>
      <Refusal message={begin.error?.at('at') ? undefined : begin.error?.message} />
      <Refusal message={callOff.error?.message} />
    </section>
  );
}

/** Beneath the bar that every screen has. */
function While() {
  return (
    <section aria-labelledby="while" className="grid max-w-prose gap-2">
      <h1 id="while" className="text-xl font-bold">
        Experiment running
      </h1>
      <p>
        The bar at the top shows until when, on every screen and to helpers. We compute the result
        as soon as you stop there. The six hours after that count as much.
      </p>
    </section>
  );
}

function Over({ over }: { over: OverExperiment }) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  const { chosen } = over;
  return (
    <section
      aria-label={`${chosen.name}, ${dayAndTime(chosen.from, tank.zone)}`}
      className="grid gap-2 border-t pt-4"
    >
      <h2 className="text-lg font-bold first-letter:uppercase">
        {chosen.name}
        <span className="font-normal text-soft">
          {' '}
          · {dayAndTime(chosen.from, tank.zone)} to {clockTime(chosen.until, tank.zone)}
          {chosen.ended === 'ANIMALS' && ', stopped for the animals'}
        </span>
      </h2>
      <p className="max-w-prose">{came(over)}</p>
      {over.problem && <p className="max-w-prose border-l-4 border-alk pl-3">{over.problem}</p>}
      <div ref={ref}>
        {width > 0 && <FindingsDrawing findings={over.findings} says={finding} width={width} />}
      </div>
      <p className="text-sm text-soft">
        Thin line: 9 in 10 at the start. Bar: 9 in 10{' '}
        {over.settled ? 'six hours after the end' : 'from the log so far'}.
      </p>
    </section>
  );
}
