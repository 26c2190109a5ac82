import { getRouteApi, Link } from '@tanstack/react-router';
import { useState } from 'react';
import { useCheck, useSuspects } from '../../api/suspects';
import type { DoneCheck, Suspect, SuspectCheck, SuspectFamily, Suspects } from '../../api/types';
import { GroundsDrawing } from '../../drawings/GroundsDrawing';
import { dayAndTime, plainDay } from '../../lib/time';
import { Button } from '../../parts/Button';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import {
  alwaysLow,
  effort,
  headline,
  meaning,
  nothingWrong,
  parted,
  sinceWords,
  steadySentence,
  word,
} from './suspectWords';

const route = getRouteApi('/signed-in/tank/$tankId/suspects');
const PROPOSED = 2;
const GROUNDS_WIDTH = 132;

/** Reason → Suspects: why is it low? */
export function SuspectsScreen() {
  const { tank } = useAtTank();
  const { since } = route.useSearch();
  const suspects = useSuspects(tank.id, since);
  if (!suspects.data) {
    return suspects.error ? (
      <Waiting error={suspects.error} retry={() => void suspects.refetch()} />
    ) : (
      <p className="p-6 text-soft" role="status">
        Comparing your days with each suspect…
      </p>
    );
  }
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <Blamed all={suspects.data} />
      <aside aria-label="Checks" className="grid content-start gap-6 lg:border-l lg:pl-8">
        <Checks all={suspects.data} />
      </aside>
    </div>
  );
}

function Blamed({ all }: { all: Suspects }) {
  const { tank } = useAtTank();
  const { shown, folded } = parted(all.families);
  const steady = all.since ? '' : steadySentence(all);
  const nothing = nothingWrong(all.families);
  return (
    <section aria-labelledby="suspects" className="grid content-start gap-4">
      <h1 id="suspects" className="text-xl font-bold">
        Why is it low?
        <span className="font-normal text-soft">
          {' '}
          · {all.since ? `since ${plainDay(all.since)}, as you entered` : 'in the last 14 days'}
        </span>
      </h1>
      <p className="max-w-prose text-2xl leading-snug font-semibold">{headline(all)}</p>
      {(nothing || steady || alwaysLow(all)) && (
        <p className="max-w-prose">
          {nothing} {steady}{' '}
          {alwaysLow(all) && (
            <>
              To raise it, try changes on the{' '}
              <Link
                to="/tank/$tankId/bench"
                params={{ tankId: tank.id }}
                className="underline underline-offset-4"
              >
                Bench
              </Link>
              .
            </>
          )}
        </p>
      )}
      {!all.daysCompared && (
        <p className="max-w-prose border-l-4 border-alk pl-3">
          Not yet enough data to compare days: too few whole days, or no model fits them. The
          ranking uses meters, tests, events and your checks only.
        </p>
      )}
      <ol className="grid gap-5">
        {shown.map((family) => (
          <Family key={family.family} family={family} />
        ))}
      </ol>
      {folded.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer content-center text-soft">
            Unlikely: {folded.map((f) => f.label).join(', ')}
          </summary>
          <ol className="grid gap-5 pt-3">
            {folded.map((family) => (
              <Family key={family.family} family={family} />
            ))}
          </ol>
        </details>
      )}
      <p className="max-w-prose text-sm text-soft">
        Bars: evidence against (left) and for (right). Ring: total. Parts your tank doesn’t have are
        left out.
      </p>
      <Since all={all} />
    </section>
  );
}

function Family({ family }: { family: SuspectFamily }) {
  return (
    <li className="grid gap-1 border-t border-hairline pt-2">
      <h2 className="font-semibold">
        <span className="inline-block first-letter:uppercase">{family.label}</span>{' '}
        <span className="font-normal text-soft">{word(family.share)}</span>
      </h2>
      <ul>
        {family.suspects.map((suspect) => (
          <One key={suspect.suspect} suspect={suspect} />
        ))}
      </ul>
    </li>
  );
}

function One({ suspect }: { suspect: Suspect }) {
  const when = sinceWords(suspect);
  return (
    <li>
      <details>
        <summary className="grid min-h-11 cursor-pointer grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4">
          <span>
            <span className="underline decoration-hairline underline-offset-4">
              {suspect.title}
            </span>{' '}
            <span className="text-soft">
              {word(suspect.share)}
              {when && `, ${when}`}
            </span>
          </span>
          <GroundsDrawing grounds={suspect.grounds} width={GROUNDS_WIDTH} />
        </summary>
        <div className="grid max-w-prose gap-1 pb-3 pl-4 text-base">
          {suspect.grounds.length === 0 && (
            <p className="text-soft">No evidence for or against this yet.</p>
          )}
          {suspect.grounds.map((ground) => (
            <p key={ground.words}>
              <span className="text-soft">{ground.weight > 0 ? 'For it: ' : 'Against it: '}</span>
              {ground.words}
            </p>
          ))}
          {suspect.needs && (
            <p>
              <span className="text-soft">Only: </span>
              {suspect.needs}.
            </p>
          )}
        </div>
      </details>
    </li>
  );
}

function Checks({ all }: { all: Suspects }) {
  const [more, setMore] = useState(false);
  const shown = more ? all.next : all.next.slice(0, PROPOSED);
  return (
    <>
      <section aria-labelledby="next" className="grid gap-5">
        <h2 id="next" className="text-xl font-bold">
          Next checks
          <span className="font-normal text-soft"> · most useful first</span>
        </h2>
        {all.next.length === 0 && <p>No useful check left.</p>}
        {shown.map((check) => (
          <Check key={check.check} check={check} />
        ))}
        {!more && all.next.length > PROPOSED && (
          <Button look="quiet" className="justify-self-start" onClick={() => setMore(true)}>
            {all.next.length - PROPOSED} more checks
          </Button>
        )}
      </section>
      {all.done.length > 0 && (
        <section aria-labelledby="done" className="grid gap-3">
          <h2 id="done" className="text-xl font-bold">
            What you checked
          </h2>
          {all.done.map((done) => (
            <Done key={done.check} done={done} />
          ))}
        </section>
      )}
    </>
  );
}

function Check({ check }: { check: SuspectCheck }) {
  const { tank } = useAtTank();
  const answer = useCheck(tank.id);
  const tell = useNotice();
  const found = (place: number, words: string) =>
    answer
      .mutateAsync({ check: check.check, answer: place })
      .then(() =>
        tell(`Found: ${words}. Suspects ranked again.`, () =>
          answer.mutate({ check: check.check }),
        ),
      )
      .catch((problem: unknown) =>
        tell(problem instanceof Error ? problem.message : String(problem)),
      );
  return (
    <div className="grid gap-1">
      <p className="text-lg leading-snug">
        {check.how} <span className="text-base text-soft">{effort(check)}</span>
      </p>
      <p className="text-sm text-soft">What did you find?</p>
      <ul className="grid gap-1">
        {check.answers.map((a) => (
          <li key={a.words}>
            <button
              type="button"
              disabled={answer.isPending}
              onClick={() => void found(a.answer, a.words)}
              className="grid min-h-11 w-full content-center border-l-2 border-hairline py-1 pl-3 text-left hover:border-accent disabled:opacity-50"
            >
              <span className="underline decoration-hairline underline-offset-4">{a.words}</span>
              <span className="text-sm text-soft">{meaning(a)}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Done({ done }: { done: DoneCheck }) {
  const { tank } = useAtTank();
  const answer = useCheck(tank.id);
  return (
    <div>
      <p className="text-soft">{done.how}</p>
      <p>
        {done.answers[done.answer]}, {dayAndTime(done.at, tank.zone)}{' '}
        <Button
          look="quiet"
          disabled={answer.isPending}
          onClick={() => answer.mutate({ check: done.check })}
        >
          Undo
        </Button>
      </p>
    </div>
  );
}

/** Whoever knows when it began says so. */
function Since({ all }: { all: Suspects }) {
  const navigate = route.useNavigate();
  const [day, setDay] = useState(all.since ?? '');
  const go = (since: string | undefined) => void navigate({ search: { since } });
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        go(day || undefined);
      }}
    >
      <When
        label="Low since"
        kind="date"
        value={day}
        min={all.earliest}
        max={all.latest}
        onChange={(e) => setDay(e.target.value)}
      />
      <Button type="submit" disabled={day === (all.since ?? '')}>
        Compare from that day
      </Button>
      {all.since && (
        <Button look="quiet" onClick={() => go(undefined)}>
          Find the day for me
        </Button>
      )}
    </form>
  );
}
