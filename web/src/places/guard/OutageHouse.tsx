import { useState } from 'react';
import type { NewNote, OutageView, TankClock } from '../../api/types';
import { Button } from '../../parts/Button';
import { useAtTank } from '../../TankContext';
import { forWhich, houseSteps, type HouseStep } from './houseSteps';
import { nextStep, predictedAt } from './outageLog';
import { Listing, Next } from './OutageSteps';
import { Tank } from './OutageTank';
import { useNow } from '../../parts/useNow';
import { atClock, dangerInWords, since } from './outageTime';
import type { useOutage } from './useOutage';
import { useSaid } from './useSaid';
import { between } from '../../lib/number';

type Note = ReturnType<typeof useOutage>['note'];

/** From so many on, the house has one list and its tanks are opened one by one. */
const HOUSE_FROM = 4;

/** Nothing moves under the finger: the tanks keep their order until somebody asks for the new one. */
export function Tanks({ view, note }: { view: OutageView; note: Note }) {
  const [order, setOrder] = useState(() => view.tanks.map((t) => t.tankId));
  const place = (t: TankClock) => {
    const at = order.indexOf(t.tankId);
    return at < 0 ? order.length : at;
  };
  const tanks = [...view.tanks].sort((a, b) => place(a) - place(b));
  const moved = tanks.some((t, i) => t.tankId !== view.tanks[i]?.tankId);
  const house = tanks.length >= HOUSE_FROM;
  return (
    <>
      {house && <House view={view} tanks={tanks} note={note} />}
      {moved && (
        <Button
          className="justify-self-start"
          onClick={() => setOrder(view.tanks.map((t) => t.tankId))}
        >
          Put the tanks in order of danger again
        </Button>
      )}
      {tanks.map((clock) =>
        house ? (
          <Folded key={clock.tankId} clock={clock} view={view} note={note} />
        ) : (
          <Tank key={clock.tankId} clock={clock} view={view} note={note} />
        ),
      )}
    </>
  );
}

/** What is due in the whole house. */
function House({ view, tanks, note }: { view: OutageView; tanks: TankClock[]; note: Note }) {
  const { tank } = useAtTank();
  const [said, tell] = useSaid();
  const h = since(view, useNow());
  const over = view.endedAt !== undefined;
  const steps = houseSteps(tanks, over ? 'after' : 'steps');
  const { due, ahead } = nextStep(
    steps.map((s) => s.listed),
    h,
  );
  const next = steps.find((s) => s.listed === due);
  const later = steps.find((s) => s.listed === ahead);
  const say = (of: HouseStep, kind: NewNote['kind']) =>
    of.tanks.forEach(({ tankId }) => note({ tankId, kind, ref: of.listed.step.id }));
  const open = steps.filter((s) => s.listed.state === 'OPEN').length;
  return (
    <section aria-labelledby="house" className="grid gap-4 border-t pt-5">
      <h2 id="house" className="text-2xl font-bold">
        The whole house
      </h2>
      {next && (
        <Next
          key={next.key}
          listed={next.listed}
          at={forWhich(next)}
          runs={Boolean(next.listed.kitId) && !over}
          done={() => {
            const starts = over ? undefined : next.listed.kitId;
            const run = (kind: NewNote['kind']) =>
              starts && next.tanks.forEach(({ tankId }) => note({ tankId, kind, ref: starts }));
            run('BACKUP_ON');
            say(next, 'STEP_DONE');
            tell(`Done: ${next.listed.step.what}.`, () => {
              run('BACKUP_OFF');
              say(next, 'STEP_UNDONE');
            });
          }}
          skip={() => {
            say(next, 'STEP_SKIPPED');
            tell(`Skipped: ${next.listed.step.what}.`, () => say(next, 'STEP_UNDONE'));
          }}
        />
      )}
      {said}
      {tanks.some((t) => t.gasping) && !over && (
        <p role="alert" className="border-l-8 border-danger pl-4 text-2xl font-bold text-danger">
          ✕ Animals gasp in{' '}
          {tanks
            .filter((t) => t.gasping)
            .map((t) => t.name)
            .join(', ')}
          : aerate this minute.
        </p>
      )}
      {!next && later && !over && !tanks.some((t) => t.gasping) && (
        <p className="text-lg">
          Nothing to do until {atClock(view, later.listed.step.atH, tank.zone)}:{' '}
          {later.listed.step.what} ({forWhich(later)}).
        </p>
      )}
      <details>
        <summary className="min-h-11 text-lg">The whole list ({open} open)</summary>
        <Listing
          view={view}
          steps={steps.map((s) => ({
            key: s.key,
            listed: s.listed,
            at: forWhich(s),
            undo: () => say(s, 'STEP_UNDONE'),
          }))}
        />
      </details>
    </section>
  );
}

/** One tank of many: how it stands in a line, the rest behind it. */
function Folded({ clock, view, note }: { clock: TankClock; view: OutageView; note: Note }) {
  const [shown, setShown] = useState(false);
  const h = since(view, useNow());
  const at = predictedAt(clock.course.points, h);
  const low = at !== undefined && at.early < view.lines.danger && !clock.unlikely;
  return (
    <details
      className="border-t"
      open={shown}
      onToggle={(e) => setShown(e.currentTarget.open)}
      data-tank={clock.name}
    >
      <summary className="min-h-14 content-center text-lg">
        <strong>{clock.name}</strong>{' '}
        {clock.gasping && !view.endedAt && (
          <strong className="text-danger">✕ They gasp: aerate. </strong>
        )}
        {!view.endedAt && at && (
          <span className={low ? 'text-danger' : 'text-soft'}>
            {low && '✕ '}
            {between(at.early.toFixed(1), at.late.toFixed(1))} mg/L.{' '}
            {dangerInWords(clock.course.points, view.lines.danger, h)}
          </span>
        )}
      </summary>
      {shown && <Tank clock={clock} view={view} note={note} />}
    </details>
  );
}
