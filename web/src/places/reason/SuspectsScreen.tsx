import { getRouteApi, Link } from '@tanstack/react-router';
import { useState } from 'react';
import { useCheck, useSuspects } from '../../api/suspects';
import type { DoneCheck, Suspect, SuspectCheck, Suspects } from '../../api/types';
import { useEffects } from '../../api/effects';
import { GroundsDrawing } from '../../drawings/GroundsDrawing';
import { LowsDrawing } from '../../drawings/LowsDrawing';
import { dayAndTime, plainDay } from '../../lib/time';
import { Button } from '../../parts/Button';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import {
  alwaysLow,
  around,
  effort,
  headline,
  meaning,
  nothingWrong,
  parted,
  sinceWords,
  steadySentence,
  weightiest,
  word,
} from './suspectWords';

const route = getRouteApi('/signed-in/tank/$tankId/suspects');
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
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_21rem]">
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
  const nothing = nothingWrong(all);
  return (
    <section aria-labelledby="suspects" className="grid content-start gap-3">
      <h1 id="suspects" className="text-soft">
        Why is it low?
        <span>
          {' '}
          · {all.since ? `since ${plainDay(all.since)}, as you entered` : 'in the last 14 days'}
        </span>
      </h1>
      <p aria-live="polite" className="text-xl leading-snug font-semibold md:text-2xl">
        {headline(all)}
      </p>
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
      <Lows since={all.since ?? shown[0]?.since} />
      <ol className="border-t border-hairline">
        {shown.map((suspect, i) => (
          <One key={suspect.suspect} suspect={suspect} place={i + 1} />
        ))}
      </ol>
      {folded.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer content-center text-soft">
            {folded.length} more, less likely
          </summary>
          <ol className="border-t border-hairline">
            {folded.map((suspect, i) => (
              <One key={suspect.suspect} suspect={suspect} place={shown.length + i + 1} />
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

/** The last weeks' daily lows, and since when they are lower. */
function Lows({ since }: { since?: string }) {
  const { tank } = useAtTank();
  const days = around(useEffects(tank.id).data?.days ?? [], since);
  const [ref, width] = useWidth();
  return (
    <div ref={ref} className="min-h-40">
      {width > 0 && days.length > 2 && (
        <LowsDrawing
          days={days}
          since={since}
          goal={tank.description.band.troughAtLeast}
          width={width}
        />
      )}
    </div>
  );
}

/** A suspect with what weighs most; all that speaks for and against it unfolds. */
function One({ suspect, place }: { suspect: Suspect; place: number }) {
  const when = sinceWords(suspect);
  const most = weightiest(suspect);
  const others = suspect.grounds.filter((ground) => ground.words !== most);
  return (
    <li className="border-b border-hairline">
      <details>
        <summary className="grid min-h-11 cursor-pointer grid-cols-[1.5rem_minmax(0,1fr)] items-baseline gap-x-3 py-1.5 md:grid-cols-[1.5rem_minmax(0,1fr)_auto] hover:bg-dark/50">
          <span className="text-soft">{place}</span>
          <span>
            <span className="text-lg font-semibold">{suspect.title}</span>{' '}
            <span className={suspect.share > 0.2 ? 'text-co2' : 'text-soft'}>
              {word(suspect.share)}
              {when && `, ${when}`}
            </span>
            <span className="block">{most ?? 'No evidence for or against this yet.'}</span>
          </span>
          <span className="max-md:col-start-2">
            <GroundsDrawing grounds={suspect.grounds} width={GROUNDS_WIDTH} />
          </span>
        </summary>
        <div className="grid max-w-prose gap-1 pb-3 pl-9">
          {others.map((ground) => (
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
  const [first, ...others] = all.next;
  return (
    <>
      <section aria-labelledby="next" className="grid gap-2">
        <h2 id="next" className="text-soft">
          Next check{first && `, ${effort(first)}`}
        </h2>
        {first ? <Check check={first} large /> : <p>No useful check left.</p>}
      </section>
      {others.length > 0 && (
        <section aria-labelledby="then" className="grid gap-1 border-t pt-4">
          <h2 id="then" className="font-bold">
            Then
          </h2>
          {others.map((check) => (
            <details key={check.check}>
              <summary className="grid min-h-11 cursor-pointer grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4">
                <span>{check.how}</span>
                <span className="text-sm text-soft">{effort(check)}</span>
              </summary>
              <Check check={check} />
            </details>
          ))}
        </section>
      )}
      {all.done.length > 0 && (
        <section aria-labelledby="done" className="grid gap-3 border-t pt-4">
          <h2 id="done" className="font-bold">
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

/** What to do, and the answers that a keeper can give. */
function Check({ check, large }: { check: SuspectCheck; large?: boolean }) {
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
      {large && <p className="text-xl leading-snug font-semibold">{check.how}</p>}
      <p className="text-soft">What did you find?</p>
      <ul className="grid gap-2">
        {check.answers.map((a) => (
          <li key={a.words}>
            <button
              type="button"
              disabled={answer.isPending}
              onClick={() => void found(a.answer, a.words)}
              className="grid min-h-11 w-full content-center rounded-sm border border-ink/40 px-3 py-1 text-left hover:border-ink disabled:opacity-50"
            >
              <span className="first-letter:uppercase">{a.words}</span>
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
