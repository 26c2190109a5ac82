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
import { Field } from '../../parts/Field';
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
        An experiment with this tank
      </h1>
      {guarded.length === 0 && (
        <p>
          There is nothing to switch off and on here: it takes lamps that have a night, and for most
          of them a skimmer.
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
              ? `Would narrow ${narrows(e, open).join(', ')}.`
              : 'Would narrow nothing by a twentieth here.'}{' '}
            On the early side oxygen would fall to {(e.lowestOxygenMgPerL ?? 0).toFixed(1)} mg/L.
          </p>
          {e.allowed ? (
            <div>
              <Button
                aria-label={`Plan it: ${e.name}`}
                disabled={plan.isPending}
                onClick={() => plan.mutate(e.experiment)}
              >
                Plan it
              </Button>
            </div>
          ) : (
            <p className="font-semibold">
              Not here: below 5 mg/L no experiment is made with animals.
            </p>
          )}
        </div>
      ))}
      <Refusal message={plan.error?.message} />
      <p>
        <Link to={ROUTE.twin} params={{ tankId: tank.id }} className={buttonLook('quiet')}>
          What buffers, kits and meters would tell
        </Link>
      </p>
    </section>
  );
}

const BEGUN: Record<Chosen['stops'], string> = {
  SKIMMER: 'The skimmer is off',
  LAMPS: 'The lamps stay off',
  NOTHING: 'It has begun',
};

const AS_ALWAYS =
  'See that the pH probe logs, best every five minutes; feed, doors and windows as always.';
const NO_DOSES =
  'No limewater, carbonate or other dose that moves pH from an hour before until six hours after: it would hide what you look for.';

/** What to see to before it begins. */
const STEPS: Record<Chosen['stops'], (until: string) => string[]> = {
  SKIMMER: (until) => [
    'Only when somebody is at home all the time who can switch the skimmer on again.',
    `Set an alarm on your phone for ${until}, or bring in what is due as a calendar, which rings then. This page sounds, too, while it is open and something was pressed in it: do not rely on it.`,
    'Lay an air stone with its pump beside the tank.',
    AS_ALWAYS,
    NO_DOSES,
    'Switch the skimmer off and press below. Watch the animals: gasping ends it at once.',
  ],
  LAMPS: (until) => [
    'Only with animals that are well: corals that pale or have just come in need their light.',
    'One day, never two after each other. Daylight that falls on the tank counts: draw the curtain.',
    `Set an alarm for ${until}: from then on the timer has the lamps again, for the next morning.`,
    'Lay an air stone with its pump beside the tank: a day without light is a day without its oxygen.',
    AS_ALWAYS,
    NO_DOSES,
    'Take the lamps off their timer before they come on, and press below. Gasping ends it at once.',
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
        On the early side oxygen would fall to {chosen.lowestOxygenMgPerL.toFixed(1)} mg/L. It is
        looked at again when you begin, and refused below 5.
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
          {begin.isPending ? 'Looking at the oxygen …' : BEGUN[chosen.stops]}
        </Button>
        <Field
          label="since (empty for now)"
          type="datetime-local"
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
              .then(() => tell('Called off.'))
              .catch(() => undefined)
          }
        >
          call it off
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
        It goes on
      </h1>
      <p>
        The bar above says until when, on every screen and to whoever helps. What it tells is
        computed as soon as it is ended there; the six hours of the way back tell as much.
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
          {chosen.ended === 'ANIMALS' && ', ended for the animals'}
        </span>
      </h2>
      <p className="max-w-prose">{came(over)}</p>
      {over.problem && <p className="max-w-prose border-l-4 border-alk pl-3">{over.problem}</p>}
      <div ref={ref}>
        {width > 0 && <FindingsDrawing findings={over.findings} says={finding} width={width} />}
      </div>
      <p className="text-sm text-soft">
        Hairline, nine in ten tanks when it began; bar, nine in ten{' '}
        {over.settled ? 'six hours after it was over' : 'by the log up to now'}.
      </p>
    </section>
  );
}
