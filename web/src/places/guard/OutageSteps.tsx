import { useEffect, useState } from 'react';
import type { OutageView, TankClock } from '../../api/types';
import { Button } from '../../parts/Button';
import { useAtTank } from '../../TankContext';
import { atClock, span } from './outageTime';

type Listed = TankClock['steps'][number];

/** How long what has just come under the finger waits before it can be pressed, ms. */
const SETTLES_MS = 700;

/** The one thing to do now. It cannot be pressed by the second tap of the one before. */
export function Next({
  listed,
  at,
  runs,
  done,
  skip,
}: {
  listed: Listed;
  at?: string;
  runs: boolean;
  done: () => void;
  skip: () => void;
}) {
  const [settled, setSettled] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(true), SETTLES_MS);
    return () => clearTimeout(timer);
  }, []);
  const { step } = listed;
  return (
    <div className="grid gap-2 border-l-8 border-accent pl-4">
      <p className="text-3xl leading-tight font-bold">
        {step.what}
        {at && <span className="block text-lg font-normal text-soft">{at}</span>}
      </p>
      <p className="text-lg">
        {step.why} {step.how}
      </p>
      {step.caution && <p className="border-l-4 border-danger pl-3">✕ Careful: {step.caution}</p>}
      <div className="flex flex-wrap gap-3 pt-1">
        <Button look="main" className="min-h-14 flex-1 text-xl" disabled={!settled} onClick={done}>
          {runs ? 'Running' : 'Done'}
        </Button>
        <Button className="min-h-14 text-lg" disabled={!settled} onClick={skip}>
          Skip
        </Button>
      </div>
    </div>
  );
}

/** All steps, with the time at which each is due. */
export function Listing({
  view,
  steps,
}: {
  view: OutageView;
  steps: { key: string; listed: Listed; at?: string; undo: () => void }[];
}) {
  const { tank } = useAtTank();
  return (
    <ol className="grid gap-2 pt-2">
      {steps.map(({ key, listed: { step, state }, at, undo }) => (
        <li key={key} className="flex items-start justify-between gap-3 border-b pb-1">
          <span className={state === 'OPEN' ? '' : 'text-soft'}>
            {step.atH > 0 && !view.endedAt && `${atClock(view, step.atH, tank.zone)}: `}
            {step.atH > 0 && view.endedAt && `after ${span(step.atH)}: `}
            {step.what}
            {at && ` (${at})`} {state === 'DONE' ? '✓' : state === 'SKIPPED' ? '(skipped)' : ''}
            {step.caution && <span className="block text-sm">✕ Careful: {step.caution}</span>}
          </span>
          {state !== 'OPEN' && (
            <Button look="quiet" aria-label={`Open again: ${step.what}`} onClick={undo}>
              Undo
            </Button>
          )}
        </li>
      ))}
    </ol>
  );
}
