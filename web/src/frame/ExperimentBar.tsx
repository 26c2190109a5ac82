import { Link } from '@tanstack/react-router';
import { useCurrentExperiment, useEndExperiment } from '../api/experiments';
import type { Chosen, ChosenEnd, Tank } from '../api/types';
import { clockTime, shortTime } from '../lib/time';
import { useNow } from '../parts/useNow';
import { Button, buttonLook } from '../parts/Button';
import { Refusal } from '../parts/Refusal';
import { left, standing } from './experimentTime';
import { ROUTE } from './places';
import { useAlarmTitle } from './title';
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
          Start or cancel
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
    `The skimmer has been off for an experiment since ${since}. Switch it on at ${until}, in ${inTime}.`,
  over: 'Time is up: switch the skimmer on.',
  late: 'The skimmer has been off too long. Switch it on now.',
  again: 'switch the skimmer on now',
  after: 'Stay five minutes after switching on: a restarted skimmer can overflow its cup.',
  ended: 'The skimmer runs again',
  forTheAnimals: 'Skimmer is on: the animals needed it',
};

/** What is said while something stands still. */
const WORDS: Record<Chosen['stops'], Words> = {
  SKIMMER,
  LAMPS: {
    title: 'Lamps on!',
    runs: (since, until, inTime) =>
      `The lamps have been off for an experiment since ${since}. Put them back on their timer at ${until}, in ${inTime}.`,
    over: 'Time is up: put the lamps back on their timer.',
    late: 'One day is enough. Put the lamps back on their timer now.',
    again: 'switch the air stone on and put the lamps back on their timer now',
    after: 'Check in the morning that the lamps came on.',
    ended: 'The lamps are on their timer again',
    forTheAnimals: 'Lamps are on the timer: the animals needed them',
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
  useAlarmTitle(stands === 'running' ? null : words.title);
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
            ? `Oxygen reading ${(chosen.shortOfOxygen ?? 0).toFixed(1)} mg/L: ${words.again}.`
            : words[stands]}
      </p>
      <p>Stop at once if animals gasp at the surface. {words.after}</p>
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
