import { getRouteApi, Link } from '@tanstack/react-router';
import { useEffect } from 'react';
import { useDay, useStaircase } from '../../api/log';
import { useBench } from '../../api/twin';
import type { Day } from '../../api/types';
import { DayRibbon } from '../../drawings/DayRibbon';
import { typing } from '../../frame/Commands';
import { useHelper } from '../../frame/useHelper';
import { extreme, type Ahead } from '../../lib/expected';
import { longDay, shiftDay } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { ShareButton } from '../../parts/ShareButton';
import { Skeleton } from '../../parts/Skeleton';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { VerdictText } from '../reason/VerdictText';
import { EffectPanel, OxygenPanel, WherePanel } from './Panels';
import { sharedDay } from './shareDay';
import { useExpected } from './useExpected';

const MORNING_MS = 10 * 3.6e6;

const route = getRouteApi('/signed-in/tank/$tankId/today');

/** Read → Today: what did the water do? */
export function Today() {
  const { tank } = useAtTank();
  const { day } = route.useSearch();
  const query = useDay(tank.id, day);
  if (!query.data) return <Waiting error={query.error} retry={() => void query.refetch()} />;
  return <Loaded day={query.data} />;
}

function Loaded({ day }: { day: Day }) {
  const { tank, units } = useAtTank();
  const helper = useHelper();
  const [ref, width] = useWidth();
  const navigate = route.useNavigate();
  const newest = day.day >= day.now.slice(0, 10);
  const go = (days: number) =>
    void navigate({ search: { day: shiftDay(day.day, days) }, replace: true });

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === 'ArrowLeft') go(-1);
      else if (e.key === 'ArrowRight' && !newest) go(1);
      else return;
      e.preventDefault();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });

  const latest = day.day === day.latest;
  const at = latest ? undefined : day.trough?.at;
  const now = Date.parse(day.now);
  const end = Date.parse(day.end);
  // Until tomorrow's lamps are on, in most homes; only from the running day.
  const until = end + MORNING_MS;
  const running = latest && now < end;
  const ahead = useExpected(tank.id, now, running ? until : now, !helper);
  const bench = useBench(tank.id, !helper);
  const modelled = !helper && !bench.isError && bench.data?.fitted !== false;
  // A past day without a pH has no verdict; the newest one's is not its own.
  const judged = latest || at !== undefined;
  const newestOrThen = useStaircase(tank.id, undefined, at).data;
  const staircase = judged ? newestOrThen : undefined;
  return (
    <div className="grid gap-4">
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <section aria-labelledby="day">
          <div className="flex flex-wrap items-center justify-between gap-x-6">
            <h1 id="day" className="text-xl font-bold">
              {longDay(day.day)}
            </h1>
            <div className="flex items-center gap-1">
              <Button look="quiet" onClick={() => go(-1)} aria-label="Previous day">
                ←<span className="hidden md:inline"> Previous</span>
              </Button>
              <Button look="quiet" disabled={newest} onClick={() => go(1)} aria-label="Next day">
                <span className="hidden md:inline">Next </span>→
              </Button>
              {!latest && (
                <Button look="quiet" onClick={() => void navigate({ search: {}, replace: true })}>
                  Latest
                </Button>
              )}
              {!helper && (
                <Button
                  look="quiet"
                  onClick={() => document.dispatchEvent(new Event('note-event'))}
                >
                  Add event
                </Button>
              )}
              <ShareButton {...sharedDay(day, tank, units)} />
            </div>
          </div>
          <div ref={ref}>
            {width > 0 && (
              <DayRibbon
                day={day}
                ahead={running ? ahead : undefined}
                until={running && modelled ? until : undefined}
                band={tank.description.band}
                zone={tank.zone}
                width={width}
              />
            )}
          </div>
          <DayInWords day={day} ahead={running ? ahead : undefined} />
        </section>
        <aside aria-label="What to do now" className="lg:border-l lg:pl-6">
          <p className="pb-1 text-sm text-soft">{latest ? 'What to do now' : 'What it was'}</p>
          {!judged ? (
            <p>No pH on this day, so no cause.</p>
          ) : staircase ? (
            <VerdictText verdict={staircase.staircase.verdict} />
          ) : (
            <VerdictShape />
          )}
        </aside>
      </div>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-3">
        {judged && <WherePanel staircase={staircase?.staircase} />}
        {running && !helper && <OxygenPanel ahead={ahead} waiting={modelled} />}
        {!helper && <EffectPanel />}
      </div>
    </div>
  );
}

function VerdictShape() {
  return (
    <div className="grid gap-3" aria-hidden>
      <Skeleton className="h-8 w-4/5" />
      <Skeleton className="h-24 w-full" />
      <Skeleton className="h-11 w-40" />
    </div>
  );
}

function DayInWords({ day, ahead }: { day: Day; ahead: Ahead | undefined }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const tomorrow =
    ahead &&
    extreme(
      ahead.ph.filter((p) => p.at >= Date.parse(day.end)),
      'low',
    );
  return (
    <div className="grid gap-1 pt-1">
      {day.trough && day.peak ? (
        <p className="text-lg">
          {day.trough.at === day.peak.at ? (
            'Only one reading so far. A day needs its low and its high.'
          ) : (
            <>
              Swing <strong>{(day.peak.ph - day.trough.ph).toFixed(2)}</strong>
              {day.surrounded
                ? '.'
                : ' so far. Too few readings to be sure of the day’s low and high.'}
              {tomorrow && (
                <>
                  {' '}
                  Tomorrow’s low:{' '}
                  <strong>
                    {tomorrow.low.toFixed(2)}–{tomorrow.high.toFixed(2)}
                  </strong>{' '}
                  expected.
                </>
              )}
              <span className="text-base text-soft">
                {day.usual.length > 0 && ' Grey: the last 14 days.'}
                {ahead && ' Hatched: expected.'}
              </span>
            </>
          )}
        </p>
      ) : (
        <p className="text-lg">
          No pH on this day.{' '}
          <Link
            to="/tank/$tankId/add-to-log"
            params={{ tankId: tank.id }}
            search={{ measure: 'PH' }}
            className={buttonLook('quiet')}
          >
            Add one
          </Link>
        </p>
      )}
      {!helper && day.day < day.latest && (
        <p>
          <Link
            to="/tank/$tankId/twin"
            params={{ tankId: tank.id }}
            search={{ day: day.day }}
            className={buttonLook('quiet')}
          >
            What the model knew that evening
          </Link>
        </p>
      )}
      {day.warnings.map((w) => (
        <p key={w} className="border-l-4 border-alk pl-3">
          {w}
        </p>
      ))}
    </div>
  );
}
