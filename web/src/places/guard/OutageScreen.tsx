import { useEffect, useState } from 'react';
import { serverNow } from '../../api/clock';
import type { OutageView, TankClock } from '../../api/types';
import { OxygenClockDrawing } from '../../drawings/OxygenClockDrawing';
import { applyTheme } from '../../frame/theme';
import { clockTime, dayAndTime } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useWidth } from '../../parts/useWidth';
import { useAtTank } from '../../TankContext';
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
      {view.tanks.map((clock) => (
        <Tank key={clock.tankId} clock={clock} view={view} note={outage.note} />
      ))}
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

function Tank({
  clock,
  view,
  note,
}: {
  clock: TankClock;
  view: OutageView;
  note: UsedOutage['note'];
}) {
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
        <div className="grid gap-2 border-l-8 border-accent pl-4" key={next.step.id}>
          <p className="text-3xl leading-tight font-bold">{next.step.what}</p>
          <p className="text-lg">
            {next.step.why} {next.step.how}
          </p>
          {next.step.caution && (
            <p className="border-l-4 border-danger pl-3">✕ Careful: {next.step.caution}</p>
          )}
          <div className="flex flex-wrap gap-3 pt-1">
            <Button
              look="main"
              className="min-h-14 flex-1 text-xl"
              onClick={() => {
                // Having started it and saying so is one thing: the prediction has it from now on.
                if (next.kitId && !view.endedAt)
                  note({ tankId, kind: 'BACKUP_ON', ref: next.kitId });
                note({ tankId, kind: 'STEP_DONE', ref: next.step.id });
              }}
            >
              {next.kitId && !view.endedAt ? 'It runs' : 'Done'}
            </Button>
            <Button
              className="min-h-14 text-lg"
              onClick={() => note({ tankId, kind: 'STEP_SKIPPED', ref: next.step.id })}
            >
              Skip
            </Button>
          </div>
        </div>
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
        <ol className="grid gap-2 pt-2">
          {list.map((s) => (
            <li key={s.step.id} className="flex items-start justify-between gap-3 border-b pb-1">
              <span className={s.state === 'OPEN' ? '' : 'text-soft'}>
                {s.step.atH > 0 && !view.endedAt && `${atClock(view, s.step.atH, zone)}: `}
                {s.step.atH > 0 && view.endedAt && `after ${span(s.step.atH)}: `}
                {s.step.what} {s.state === 'DONE' ? '✓' : s.state === 'SKIPPED' ? '(skipped)' : ''}
                {s.step.caution && (
                  <span className="block text-sm">✕ Careful: {s.step.caution}</span>
                )}
              </span>
              {s.state !== 'OPEN' && (
                <Button
                  look="quiet"
                  aria-label={`Open again: ${s.step.what}`}
                  onClick={() => note({ tankId, kind: 'STEP_UNDONE', ref: s.step.id })}
                >
                  undo
                </Button>
              )}
            </li>
          ))}
        </ol>
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
