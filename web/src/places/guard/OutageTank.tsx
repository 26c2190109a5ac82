import type { OutageView, TankClock } from '../../api/types';
import { OxygenClockDrawing } from '../../drawings/OxygenClockDrawing';
import { Button } from '../../parts/Button';
import { useWidth } from '../../parts/useWidth';
import { useAtTank } from '../../TankContext';
import { nextStep, predictedAt } from './outageLog';
import { MoreNotes, NoteOxygen } from './OutageNotes';
import { Listing, Next } from './OutageSteps';
import { useNow } from '../../parts/useNow';
import { atClock, dangerInWords, hoursDown, spanDown, since } from './outageTime';
import type { useOutage } from './useOutage';
import { useSaid } from './useSaid';
import { between } from '../../lib/number';

type Note = ReturnType<typeof useOutage>['note'];

/** One tank: what to do, how its oxygen stands, what runs. */
export function Tank({ clock, view, note }: { clock: TankClock; view: OutageView; note: Note }) {
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
  const [said, tell] = useSaid();
  const seen = (kind: 'GASPING' | 'CALM') => {
    note({ tankId, kind });
    tell(kind === 'CALM' ? `${clock.name}: they breathe calmly.` : `${clock.name}: they gasp.`);
  };
  return (
    <section aria-labelledby={`tank-${tankId}`} className="grid gap-4 border-t pt-5">
      <h2 id={`tank-${tankId}`} className="text-2xl font-bold">
        {clock.name}
      </h2>
      {clock.gasping && !view.endedAt && (
        <p role="alert" className="border-l-8 border-danger pl-4 text-2xl font-bold text-danger">
          ✕ Animals gasp: aerate now. Pour, stir, move the water.
          <span className="block text-lg font-normal">
            Keep aerating until every fish breathes normally.
          </span>
        </p>
      )}
      {next && (
        <Next
          key={next.step.id}
          listed={next}
          runs={Boolean(next.kitId) && !view.endedAt}
          done={() => {
            // Having started it and saying so is one thing: the prediction has it from now on.
            const starts = view.endedAt ? undefined : next.kitId;
            if (starts) note({ tankId, kind: 'BACKUP_ON', ref: starts });
            note({ tankId, kind: 'STEP_DONE', ref: next.step.id });
            tell(`Done: ${next.step.what}.`, () => {
              if (starts) note({ tankId, kind: 'BACKUP_OFF', ref: starts });
              note({ tankId, kind: 'STEP_UNDONE', ref: next.step.id });
            });
          }}
          skip={() => {
            note({ tankId, kind: 'STEP_SKIPPED', ref: next.step.id });
            tell(`Skipped: ${next.step.what}.`, () =>
              note({ tankId, kind: 'STEP_UNDONE', ref: next.step.id }),
            );
          }}
        />
      )}
      {said}
      {!next && ahead && !view.endedAt && !clock.gasping && (
        <p className="text-lg">
          Nothing to do until {atClock(view, ahead.step.atH, zone)}: {ahead.step.what}.
        </p>
      )}
      {clock.unlikely && !view.endedAt && (
        <p className="border-l-4 border-alk pl-3 text-lg">
          Don’t trust this prediction: it fails on ordinary nights. Watch the animals, measure
          oxygen, aerate.
        </p>
      )}
      {!view.endedAt && at && (
        <p className="text-lg">
          Oxygen now, predicted:{' '}
          <strong
            className={`text-3xl ${at.early < view.lines.danger && !clock.unlikely ? 'text-danger' : ''}`}
          >
            {at.early < view.lines.danger && !clock.unlikely && '✕ '}
            {between(at.early.toFixed(1), at.late.toFixed(1))} mg/L
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
          {clock.kit.length > 0 && (
            <ul className="grid gap-2" aria-label={`Equipment for ${clock.name}`}>
              {clock.kit.map((thing) => (
                <Thing key={thing.kitId} thing={thing} tankId={tankId} note={note} tell={tell} />
              ))}
            </ul>
          )}
          <div className="flex flex-wrap gap-3">
            <Button
              className="min-h-14 border-danger text-danger"
              aria-pressed={clock.gasping}
              onClick={() => seen('GASPING')}
            >
              ✕ They gasp
            </Button>
            <Button className="min-h-14" onClick={() => seen('CALM')}>
              They breathe calmly
            </Button>
          </div>
          <NoteOxygen note={(value) => note({ tankId, kind: 'OXYGEN', value })} />
          <p className="text-sm text-soft">
            {clock.startMeasured
              ? 'Started from your measured oxygen.'
              : `Started from ${clock.startMgPerL.toFixed(1)} mg/L, expected at that hour.`}{' '}
            Lines at {view.lines.caution}, {view.lines.danger} and {view.lines.loss} mg/L are
            assumed. A reading moves the clock. By hand: {Math.ceil(clock.bucketsPerH)} ten-litre
            buckets an hour.
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

/** A thing of the kit: whether it runs, and what became of it. */
function Thing({
  thing,
  tankId,
  note,
  tell,
}: {
  thing: TankClock['kit'][number];
  tankId: string;
  note: Note;
  tell: (words: string, undo?: () => void) => void;
}) {
  const say = (kind: 'BACKUP_ON' | 'BACKUP_OFF' | 'BACKUP_FAILED', words: string) => {
    note({ tankId, kind, ref: thing.kitId });
    tell(`${thing.name} ${words}.`, () =>
      note({ tankId, kind: thing.running ? 'BACKUP_ON' : 'BACKUP_OFF', ref: thing.kitId }),
    );
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b pb-2">
      <span className="min-w-48 flex-1">
        <strong>{thing.name}</strong>{' '}
        {thing.failed ? 'is broken' : thing.running ? 'runs ✓' : 'is off'}
        <span className="block text-sm text-soft">
          {thing.tested
            ? `${hoursDown(thing.likelyH)}, tested`
            : `${spanDown(thing.earlyH, thing.likelyH)}, estimated`}
          {thing.left < 0.95 &&
            `. About ${Math.round(thing.left * 100)} % charged after the last cut, assumed.`}
        </span>
      </span>
      {!thing.running && (
        <Button className="min-h-14" onClick={() => say('BACKUP_ON', 'runs')}>
          Running
        </Button>
      )}
      {thing.running && (
        <Button className="min-h-14" onClick={() => say('BACKUP_OFF', 'is off')}>
          Switched off
        </Button>
      )}
      {!thing.failed && (
        <Button className="min-h-14" onClick={() => say('BACKUP_FAILED', 'is broken')}>
          Broken or empty
        </Button>
      )}
    </li>
  );
}
