import { Link } from '@tanstack/react-router';
import { useEffect } from 'react';
import { useCurrentExperiment, useEndExperiment } from '../api/experiments';
import type { Chosen, ChosenEnd, Tank } from '../api/types';
import { clockTime, shortTime } from '../lib/time';
import { useNow } from '../parts/useNow';
import { Button, buttonLook } from '../parts/Button';
import { Refusal } from '../parts/Refusal';
import { left, standing, type Standing } from './experimentTime';
import { ROUTE } from './places';
import { useAlarm } from './useAlarm';
import { useHelper } from './useHelper';

/** On every screen while an experiment is planned or goes on: until when, and the way to end it. */
export function ExperimentBar({ tank }: { tank: Tank }) {
  const chosen = useCurrentExperiment(tank.id).data?.current;
  if (!chosen) return null;
  return chosen.stage === 'RUNNING' ? (
    <Running chosen={chosen} tank={tank} />
  ) : (
    <Planned chosen={chosen} tank={tank} />
  );
}

function Planned({ chosen, tank }: { chosen: Chosen; tank: Tank }) {
  const helper = useHelper();
  const now = useNow();
  return (
    <section
      aria-label="Planned experiment"
      className="flex flex-wrap items-center gap-x-4 border-b px-4 md:px-6"
    >
      <p>
        Planned: {chosen.name}, {shortTime(chosen.from, tank.zone, new Date(now))} to{' '}
        {clockTime(chosen.until, tank.zone)}.
      </p>
      {!helper && (
        <Link to={ROUTE.experiment} params={{ tankId: tank.id }} className={buttonLook('quiet')}>
          begin it or call it off
        </Link>
      )}
    </section>
  );
}

const CALLS: Record<Exclude<Standing, 'running' | 'short'>, string> = {
  over: 'It is time: switch the skimmer on again.',
  late: 'It is off for too long: switch the skimmer on again now.',
};

function Running({ chosen, tank }: { chosen: Chosen; tank: Tank }) {
  const now = useNow();
  const end = useEndExperiment(tank.id);
  const stands = standing(chosen, now);
  const danger = stands === 'late' || stands === 'short';
  useAlarm(stands !== 'running');
  useTitle(stands === 'running' ? null : 'Skimmer on!');
  const over = (ended: ChosenEnd) => end.mutate({ id: chosen.id, ended });
  return (
    <section
      aria-label="Experiment"
      className={`grid gap-1 border-b px-4 py-2 md:px-6 ${danger ? 'bg-danger text-paper' : 'bg-lit'}`}
    >
      <p role={stands === 'running' ? undefined : 'alert'} className="text-lg font-semibold">
        {stands === 'running'
          ? `The skimmer is off for an experiment since ${clockTime(chosen.from, tank.zone)}: on again at ${clockTime(chosen.until, tank.zone)}, in ${left(chosen.until, now)}.`
          : stands === 'short'
            ? `Oxygen was read at ${(chosen.shortOfOxygen ?? 0).toFixed(1)} mg/L: switch the skimmer on again now.`
            : CALLS[stands]}
      </p>
      <p>
        Animals that gasp at the surface end it at once. Stay five minutes after it is on: a skimmer
        that starts again may overflow its cup.
      </p>
      <div className="flex flex-wrap gap-3">
        <Button
          look={danger ? 'plain' : 'main'}
          className={danger ? 'border-paper' : ''}
          disabled={end.isPending}
          onClick={() => over('DONE')}
        >
          The skimmer runs again
        </Button>
        <Button
          className={danger ? 'border-paper' : ''}
          disabled={end.isPending}
          onClick={() => over('ANIMALS')}
        >
          It runs again: the animals needed it
        </Button>
      </div>
      <Refusal message={end.error?.message} />
    </section>
  );
}

/** The tab says it, too. */
function useTitle(title: string | null) {
  useEffect(() => {
    if (title === null) return;
    const before = document.title;
    document.title = title;
    return () => {
      document.title = before;
    };
  }, [title]);
}
