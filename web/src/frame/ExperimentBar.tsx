import { Link } from '@tanstack/react-router';
import { useEffect } from 'react';
import { useCurrentExperiment, useEndExperiment } from '../api/experiments';
import type { Chosen, ChosenEnd, Tank } from '../api/types';
import { clockTime, shortTime } from '../lib/time';
import { useNow } from '../parts/useNow';
import { Button, buttonLook } from '../parts/Button';
import { Refusal } from '../parts/Refusal';
import { left, standing } from './experimentTime';
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

interface Words {
  title: string;
  runs: (since: string, until: string, left: string) => string;
  over: string;
  late: string;
  again: string;
  after: string;
  ended: string;
  forTheAnimals: string;
}

const SKIMMER: Words = {
  title: 'Skimmer on!',
  runs: (since, until, inTime) =>
    `The skimmer is off for an experiment since ${since}: on again at ${until}, in ${inTime}.`,
  over: 'It is time: switch the skimmer on again.',
  late: 'It is off for too long: switch the skimmer on again now.',
  again: 'switch the skimmer on again now',
  after: 'Stay five minutes after it is on: a skimmer that starts again may overflow its cup.',
  ended: 'The skimmer runs again',
  forTheAnimals: 'It runs again: the animals needed it',
};

/** What is said while something stands still. */
const WORDS: Record<Chosen['stops'], Words> = {
  SKIMMER,
  LAMPS: {
    title: 'Lamps on!',
    runs: (since, until, inTime) =>
      `The lamps are off for an experiment since ${since}: back on their timer at ${until}, in ${inTime}.`,
    over: 'It is time: give the lamps back to their timer.',
    late: 'One day was enough: give the lamps back to their timer now.',
    again: 'set the air stone, and give the lamps back to their timer now',
    after: 'In the morning see that they came on.',
    ended: 'The timer has the lamps again',
    forTheAnimals: 'It has them again: the animals needed it',
  },
  NOTHING: SKIMMER,
};

function Running({ chosen, tank }: { chosen: Chosen; tank: Tank }) {
  const now = useNow();
  const end = useEndExperiment(tank.id);
  const stands = standing(chosen, now);
  const danger = stands === 'late' || stands === 'short';
  useAlarm(stands !== 'running');
  const words = WORDS[chosen.stops];
  useTitle(stands === 'running' ? null : words.title);
  const over = (ended: ChosenEnd) => end.mutate({ id: chosen.id, ended });
  return (
    <section
      aria-label="Experiment"
      className={`grid gap-1 border-b px-4 py-2 md:px-6 ${danger ? 'bg-danger text-paper' : 'bg-lit'}`}
    >
      <p role={stands === 'running' ? undefined : 'alert'} className="text-lg font-semibold">
        {stands === 'running'
          ? words.runs(
              clockTime(chosen.from, tank.zone),
              clockTime(chosen.until, tank.zone),
              left(chosen.until, now),
            )
          : stands === 'short'
            ? `Oxygen was read at ${(chosen.shortOfOxygen ?? 0).toFixed(1)} mg/L: ${words.again}.`
            : words[stands]}
      </p>
      <p>Animals that gasp at the surface end it at once. {words.after}</p>
      <div className="flex flex-wrap gap-3">
        <Button
          look={danger ? 'plain' : 'main'}
          className={danger ? 'border-paper' : ''}
          disabled={end.isPending}
          onClick={() => over('DONE')}
        >
          {words.ended}
        </Button>
        <Button
          className={danger ? 'border-paper' : ''}
          disabled={end.isPending}
          onClick={() => over('ANIMALS')}
        >
          {words.forTheAnimals}
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
