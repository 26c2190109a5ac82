import { useEffect, useState } from 'react';
import { serverNow } from '../../api/clock';
import type { NewNote, OutageView, TankClock } from '../../api/types';
import { OxygenClockDrawing } from '../../drawings/OxygenClockDrawing';
import { applyTheme } from '../../frame/theme';
import { clockTime, dayAndTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useWidth } from '../../parts/useWidth';
import { useAtTank } from '../../TankContext';
import { forWhich, houseSteps, type HouseStep } from './houseSteps';
import { Report } from './Report';
import { dangerAhead, nextStep, predictedAt, readCard } from './outageLog';
import { MoreNotes, NoteOxygen } from './OutageNotes';
import { useOutage } from './useOutage';

/** Guard → Outage: the clock and the next action. */
export function OutageScreen() {
  const { tank } = useAtTank();
  const outage = useOutage(tank.homeId);
  const { view } = outage;
  useDarkness(view !== null);
  if (!view) return <Quiet outage={outage} />;
  return (
    <div className="mx-auto grid max-w-3xl gap-6">
      <Head outage={outage} view={view} />
      <Tanks view={view} note={outage.note} />
      <NeverDo />
      {view.endedAt && <Report view={view} close={outage.close} />}
    </div>
  );
}

/** The whole page is dim while the lights are out: somebody reads it in the dark. */
function useDarkness(dark: boolean) {
  useEffect(() => {
    if (!dark) return undefined;
    document.documentElement.dataset.theme = 'night';
    return applyTheme;
  }, [dark]);
}

type UsedOutage = ReturnType<typeof useOutage>;

function Quiet({ outage }: { outage: UsedOutage }) {
  const { tank } = useAtTank();
  const [problem, setProblem] = useState<string | null>(null);
  const bring = async (file: File | undefined) => {
    setProblem(null);
    if (!file) return;
    const card = readCard(await file.text(), tank.homeId);
    if (typeof card === 'string') {
      setProblem(card);
      return;
    }
    await outage
      .bring(card)
      .catch((e: unknown) =>
        setProblem(e instanceof Error ? e.message : 'The log could not be brought in.'),
      );
  };
  return (
    <div className="grid max-w-2xl gap-6">
      <h1 className="text-xl font-bold">The mains are on</h1>
      <p>
        When the power fails, press this first, even for a short cut. Animals that gasp at the
        surface beat every number: aerate, then press.
      </p>
      <Button
        look="main"
        className="min-h-20 text-2xl!"
        onClick={() => void outage.start().catch((e: Error) => setProblem(e.message))}
      >
        The power is out
      </Button>
      {outage.reached === false && (
        <p role="alert" className="font-semibold">
          ✕ The server does not answer. Use the pocket card on your phone.
        </p>
      )}
      {problem && (
        <p role="alert" className="font-semibold">
          ✕ {problem}
        </p>
      )}
      <section aria-labelledby="card" className="grid gap-2 border-t pt-4">
        <h2 id="card" className="font-bold">
          A log from a pocket card
        </h2>
        <label className="text-sm text-soft" htmlFor="card-file">
          The file that the card saved. Bringing it in twice does no harm.
        </label>
        <input
          id="card-file"
          type="file"
          accept="application/json,.json"
          onChange={(e) => void bring(e.target.files?.[0])}
        />
      </section>
    </div>
  );
}

function useNow(): number {
  const [now, setNow] = useState(() => serverNow().getTime());
  useEffect(() => {
    const look = () => setNow(serverNow().getTime());
    const timer = setInterval(look, 10_000);
    // A phone that slept shows the right time as soon as it is looked at.
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return now;
}

const since = (view: OutageView, now: number) =>
  Math.max(
    0,
    ((view.endedAt ? Date.parse(view.endedAt) : now) - Date.parse(view.startedAt)) / 3.6e6,
  );

/** Rounded down: what is promised is never later than the sum. */
const span = (h: number) => {
  const minutes = Math.floor(h * 60 + 1e-6);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
};

const atClock = (view: OutageView, h: number, zone: string) =>
  clockTime(new Date(Date.parse(view.startedAt) + h * 3.6e6).toISOString(), zone);

/** From now on: danger that has passed, because air runs, is danger no more. */
function dangerInWords(points: Parameters<typeof dangerAhead>[0], line: number, h: number) {
  const ahead = dangerAhead(points, line, h);
  return ahead === undefined
    ? 'No danger in sight within a day and a half.'
    : ahead > 0
      ? `Danger may come in ${span(ahead)}.`
      : 'It may be in danger now: aerate.';
}

function Head({ outage, view }: { outage: UsedOutage; view: OutageView }) {
  const { tank } = useAtTank();
  const now = useNow();
  return (
    <header className="grid gap-3">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1>
          <span className="block text-soft">
            {view.endedAt ? 'The power was out for' : 'No power for'}
          </span>
          <span className="text-5xl font-bold">{span(since(view, now))}</span>
        </h1>
        {!view.endedAt && (
          <Button className="min-h-14 text-lg" onClick={outage.end}>
            The power is back
          </Button>
        )}
      </div>
      <p className="text-soft">
        since {dayAndTime(view.startedAt, tank.zone)}
        {view.cuts > 1 && `, ${view.cuts} cuts`}
        {!view.endedAt && outage.reached && (
          <Button look="quiet" onClick={() => outage.beganEarlier(15)}>
            it began 15 min earlier
          </Button>
        )}
      </p>
      {outage.refused && (
        <p role="alert" className="font-semibold">
          ✕ {outage.refused}
        </p>
      )}
      {outage.reached === false && (
        <p role="status" className="border-l-4 border-alk pl-3">
          The server does not answer. Go on: what you note stays on this device and is sent when it
          is back{outage.waiting > 0 && ` (${outage.waiting} waiting)`}. Predictions stand still
          until then
          {outage.planAt && `; they are those of ${dayAndTime(outage.planAt, tank.zone)}`}.
        </p>
      )}
    </header>
  );
}

type Note = UsedOutage['note'];
type Listed = TankClock['steps'][number];

/** From so many on, the house has one list and its tanks are opened one by one. */
const HOUSE_FROM = 4;

/** Nothing moves under the finger: the tanks keep their order until somebody asks for the new one. */
function Tanks({ view, note }: { view: OutageView; note: Note }) {
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
            if (next.listed.kitId && !over)
              next.tanks.forEach(({ tankId }) =>
                note({ tankId, kind: 'BACKUP_ON', ref: next.listed.kitId }),
              );
            say(next, 'STEP_DONE');
          }}
          skip={() => say(next, 'STEP_SKIPPED')}
        />
      )}
      {!next && later && !over && (
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
            {at.early.toFixed(1)} to {at.late.toFixed(1)} mg/L.{' '}
            {dangerInWords(clock.course.points, view.lines.danger, h)}
          </span>
        )}
      </summary>
      {shown && <Tank clock={clock} view={view} note={note} />}
    </details>
  );
}

/** How long what has just come under the finger waits before it can be pressed, ms. */
const SETTLES_MS = 700;

/** The one thing to do now. It cannot be pressed by the second tap of the one before. */
function Next({
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
          {runs ? 'It runs' : 'Done'}
        </Button>
        <Button className="min-h-14 text-lg" disabled={!settled} onClick={skip}>
          Skip
        </Button>
      </div>
    </div>
  );
}

/** All steps, with the time at which each is due. */
function Listing({
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
              undo
            </Button>
          )}
        </li>
      ))}
    </ol>
  );
}

function Tank({ clock, view, note }: { clock: TankClock; view: OutageView; note: Note }) {
  const now = useNow();
  const [ref, width] = useWidth();
  const h = since(view, now);
  const at = predictedAt(clock.course.points, h);
  const list = view.endedAt ? clock.after : clock.steps;
  const open = list.filter((s) => s.state === 'OPEN');
  const { due: next, ahead } = nextStep(list, h);
  const tankId = clock.tankId;
  const { tank } = useAtTank();
  const zone = tank.zone;
  return (
    <section aria-labelledby={`tank-${tankId}`} className="grid gap-4 border-t pt-5">
      <h2 id={`tank-${tankId}`} className="text-2xl font-bold">
        {clock.name}
      </h2>
      {clock.gasping && !view.endedAt && (
        <p role="alert" className="border-l-8 border-danger pl-4 text-2xl font-bold text-danger">
          ✕ They gasp: aerate this minute, with whatever is at hand. Pour, stir, move the water.
        </p>
      )}
      {next && (
        <Next
          key={next.step.id}
          listed={next}
          runs={Boolean(next.kitId) && !view.endedAt}
          done={() => {
            // Having started it and saying so is one thing: the prediction has it from now on.
            if (next.kitId && !view.endedAt) note({ tankId, kind: 'BACKUP_ON', ref: next.kitId });
            note({ tankId, kind: 'STEP_DONE', ref: next.step.id });
          }}
          skip={() => note({ tankId, kind: 'STEP_SKIPPED', ref: next.step.id })}
        />
      )}
      {!next && ahead && !view.endedAt && (
        <p className="text-lg">
          Nothing to do until {atClock(view, ahead.step.atH, zone)}: {ahead.step.what}.
        </p>
      )}
      {clock.unlikely && !view.endedAt && (
        <p className="border-l-4 border-alk pl-3 text-lg">
          The sum has this tank short of oxygen on any night, and its animals live. Do not trust it:
          watch them, measure oxygen, aerate.
        </p>
      )}
      {!view.endedAt && at && (
        <p className="text-lg">
          Oxygen now, predicted:{' '}
          <strong
            className={`text-3xl ${at.early < view.lines.danger && !clock.unlikely ? 'text-danger' : ''}`}
          >
            {at.early < view.lines.danger && !clock.unlikely && '✕ '}
            {at.early.toFixed(1)} to {at.late.toFixed(1)} mg/L
          </strong>
          . {dangerInWords(clock.course.points, view.lines.danger, h)}
        </p>
      )}
      <div ref={ref}>
        {width > 0 && (
          <OxygenClockDrawing
            id={tankId}
            course={clock.course}
            lines={view.lines}
            nowH={view.endedAt ? undefined : h}
            readings={view.notes
              .filter((n) => n.kind === 'OXYGEN' && n.tankId === tankId && n.value !== undefined)
              .map((n) => ({
                h: Math.max(0, (Date.parse(n.at) - Date.parse(view.startedAt)) / 3.6e6),
                mgPerL: n.value ?? 0,
              }))}
            width={width}
          />
        )}
      </div>
      {!view.endedAt && (
        <>
          <div className="flex flex-wrap gap-3">
            {clock.kit.map((thing) => (
              <Button
                key={thing.kitId}
                className={`min-h-14 ${thing.running ? 'border-2 border-accent' : ''}`}
                aria-pressed={thing.running}
                onClick={() =>
                  note({
                    tankId,
                    kind: thing.running ? 'BACKUP_OFF' : 'BACKUP_ON',
                    ref: thing.kitId,
                  })
                }
              >
                {thing.name}{' '}
                {thing.running ? 'runs ✓ (tap if it does not)' : 'does not run (tap once it does)'}
                <span className="text-sm text-soft">
                  {thing.tested
                    ? `${thing.likelyH.toFixed(1)} h tested`
                    : `${thing.earlyH.toFixed(1)} to ${thing.likelyH.toFixed(1)} h`}
                </span>
              </Button>
            ))}
            <Button
              className="min-h-14 border-danger text-danger"
              onClick={() => note({ tankId, kind: 'GASPING' })}
            >
              ✕ They gasp
            </Button>
            <Button className="min-h-14" onClick={() => note({ tankId, kind: 'CALM' })}>
              They are calm
            </Button>
          </div>
          <NoteOxygen note={(value) => note({ tankId, kind: 'OXYGEN', value })} />
          <p className="text-sm text-soft">
            {clock.startMeasured
              ? 'Begun with the oxygen you had measured.'
              : `Begun with ${clock.startMgPerL.toFixed(1)} mg/L, by the twin at that hour.`}{' '}
            Lines at {view.lines.caution}, {view.lines.danger} and {view.lines.loss} mg/L: assumed.
            A reading moves the clock. By hand: {Math.ceil(clock.bucketsPerH)} ten-litre buckets an
            hour.
          </p>
        </>
      )}
      <MoreNotes clock={clock} view={view} ammonia={at?.ammoniaMgPerL} note={note} />
      <details>
        <summary className="min-h-11 text-lg">
          {view.endedAt ? 'All of the restart' : 'The whole plan'} ({open.length} open)
        </summary>
        <Listing
          view={view}
          steps={list.map((listed) => ({
            key: listed.step.id,
            listed,
            undo: () => note({ tankId, kind: 'STEP_UNDONE', ref: listed.step.id }),
          }))}
        />
      </details>
    </section>
  );
}

function NeverDo() {
  return (
    <section aria-labelledby="never" className="border-t pt-4">
      <h2 id="never" className="font-bold text-danger">
        ✕ Never
      </h2>
      <ul className="list-disc pl-5">
        <li>
          A generator or a fuel heater indoors, in a garage, or near a window: carbon monoxide kills
          without a smell. Never refuel it hot.
        </li>
        <li>
          Power back into the house through a socket: a licensed electrician fits a switch for that.
        </li>
        <li>
          Ice or boiling water into the tank; a cover that closes its surface; a flame in a shut
          room.
        </li>
        <li>Food; and a canister that stood for four hours, restarted dirty.</li>
      </ul>
    </section>
  );
}
