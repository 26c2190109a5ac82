import { getRouteApi, Link } from '@tanstack/react-router';
import { useEffect } from 'react';
import { useDay, useStaircase } from '../../api/log';
import type { Day } from '../../api/types';
import { DayRibbon } from '../../drawings/DayRibbon';
import { StaircaseDrawing } from '../../drawings/StaircaseDrawing';
import { typing } from '../../frame/Commands';
import { useHelper } from '../../frame/useHelper';
import { longDay, shiftDay } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { ShareButton } from '../../parts/ShareButton';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { VerdictText } from '../reason/VerdictText';
import { sharedDay } from './shareDay';

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

  return (
    <div className="grid gap-6">
      <section aria-labelledby="day">
        <div className="flex flex-wrap items-center justify-between gap-x-6 pb-1">
          <h1 id="day" className="text-xl font-bold">
            {longDay(day.day)}
            <span className="hidden font-normal text-soft md:inline">
              {day.usual.length > 0 ? ' · grey: the last 14 days' : ''}
            </span>
          </h1>
          <div className="flex items-center gap-1">
            <Button look="quiet" onClick={() => go(-1)}>
              ← Previous day
            </Button>
            <Button look="quiet" disabled={newest} onClick={() => go(1)}>
              Next day →
            </Button>
            {day.day !== day.latest && (
              <Button look="quiet" onClick={() => void navigate({ search: {}, replace: true })}>
                Latest
              </Button>
            )}
            {!helper && (
              <Button look="quiet" onClick={() => document.dispatchEvent(new Event('note-event'))}>
                Add an event
              </Button>
            )}
            <ShareButton {...sharedDay(day, tank, units)} />
          </div>
        </div>
        <div ref={ref}>
          {width > 0 && (
            <DayRibbon day={day} band={tank.description.band} zone={tank.zone} width={width} />
          )}
        </div>
        <DayInWords day={day} />
      </section>
      {day.day === day.latest ? <Why at={undefined} /> : day.trough && <Why at={day.trough.at} />}
    </div>
  );
}

function DayInWords({ day }: { day: Day }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  return (
    <div className="grid gap-1 pt-2">
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

/** Below the day: where its CO2 comes from; on a past day, at its trough. */
function Why({ at }: { at: string | undefined }) {
  const { tank } = useAtTank();
  const view = useStaircase(tank.id, undefined, at).data;
  const [ref, width] = useWidth();
  if (!view) return null;
  return (
    <section
      aria-labelledby="why"
      className="grid gap-x-10 gap-y-4 border-t pt-4 lg:grid-cols-[minmax(0,1fr)_24rem]"
    >
      <div>
        <h2 id="why" className="pb-1 text-xl font-bold">
          <Link to="/tank/$tankId/staircase" params={{ tankId: tank.id }} search={{ at }}>
            Where the CO2 {at ? 'came' : 'comes'} from
          </Link>
        </h2>
        <div ref={ref}>
          {width > 0 && <StaircaseDrawing staircase={view.staircase} width={width} />}
        </div>
      </div>
      <aside aria-label="Verdict" className="lg:border-l lg:pl-8">
        <VerdictText verdict={view.staircase.verdict} />
      </aside>
    </section>
  );
}
