import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import {
  useDeleteLine,
  useDosing,
  useEndLine,
  useForgetLineNote,
  useGoOn,
  useNoteLine,
  usePlanLine,
  useRememberLine,
  useReopenLine,
} from '../../api/dosing';
import type { Doses, Line, LineNote } from '../../api/types';
import { ReservoirDrawing } from '../../drawings/ReservoirDrawing';
import { ROUTE } from '../../frame/places';
import { Spike } from '../../frame/Spike';
import { show } from '../../lib/measure';
import { plain } from '../../lib/number';
import { dayAndTime, localInput } from '../../lib/time';
import { HowWorkedOut } from '../../parts/HowWorkedOut';
import { Button, buttonLook } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { OpensSheet } from '../../parts/OpensSheet';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { VesselGuard } from './VesselGuard';
import { ByHandSection } from './ByHandSection';
import { DayWithLine } from './DayWithLine';
import {
  asMeasure,
  shareOfOthers,
  beforeAndAfter,
  brings,
  emptyIn,
  headline,
  nextStep,
  SOLUTES,
  staysBehind,
  stepWithoutPlan,
  timesInWords,
  used,
} from './doseWords';
import { LineNoteForm } from './LineNoteForm';
import { NewLineForm } from './NewLineForm';

const ROUTE_OF_CARD = '/tank/$tankId/card';
const SHOWN_DAYS = 60;
const DAY_MS = 86_400_000;
const NEWEST = 6;

/** Do → Dosing: what is planned, and what arrives of it. */
export function DosingScreen() {
  const { tank } = useAtTank();
  const doses = useDosing(tank.id);
  if (!doses.data) return <Waiting error={doses.error} retry={() => void doses.refetch()} />;
  return <Loaded doses={doses.data} now={doses.dataUpdatedAt} />;
}

function Loaded({ doses, now }: { doses: Doses; now: number }) {
  const { tank, units } = useAtTank();
  return (
    <div className="grid gap-8">
      <Spike />
      {doses.hold && doses.lines.some((l) => !l.endedAt) && <Wait hold={doses.hold} />}
      {doses.lines.length === 0 && (
        <section aria-labelledby="none">
          <h1 id="none" className="text-xl font-bold">
            No dosing lines yet
          </h1>
          <p className="max-w-prose text-soft">
            Add a dosing line: what is in the reservoir and how much you plan a day. Log the
            reservoir level now and then. Within days you see how much of the plan arrives.
          </p>
        </section>
      )}
      {doses.lines.map((line) => (
        <DosingLine key={line.id} line={line} all={doses.lines} now={now} />
      ))}
      <OpensSheet
        says="Add a dosing line"
        about="What is in the vessel, and how much you plan a day. A plan that could harm is refused."
        look={doses.lines.length === 0 ? 'main' : 'plain'}
      >
        {(close) => <NewLineForm done={close} />}
      </OpensSheet>
      <section aria-labelledby="used" className="grid gap-2 border-t pt-4">
        <h2 id="used" className="text-xl font-bold">
          What your animals use
          <span className="font-normal text-soft"> · last {doses.use.days} days</span>
        </h2>
        {used(doses.use, units).map((sentence) => (
          <p key={sentence} className="max-w-prose text-lg leading-snug">
            {sentence}
          </p>
        ))}
        <HowWorkedOut>
          Use is what arrived by the reservoir levels, minus what your tests show. Unread lines
          count as planned, 90–105 % (assumed). Doses by hand are subtracted first. About{' '}
          {show(doses.evaporationLPerDay, 'volume', units)} evaporate a day,{' '}
          {doses.evaporationMeasured
            ? 'from your top-off log'
            : 'assumed from surface and temperature'}
          . More limewater than that lowers the salinity.
        </HowWorkedOut>
        <p>
          <Link to={ROUTE.calculators} params={{ tankId: tank.id }} className={buttonLook('quiet')}>
            Compare with other sources of alkalinity
          </Link>
        </p>
        {staysBehind(doses.creep, now).map((sentence) => (
          <p key={sentence} className="max-w-prose">
            {sentence}
          </p>
        ))}
      </section>
      <ByHandSection creep={doses.creep} />
    </div>
  );
}

/** After a power cut nothing is dosed until the return has run for half an hour and somebody has looked. */
function Wait({ hold }: { hold: NonNullable<Doses['hold']> }) {
  const { tank } = useAtTank();
  const goOn = useGoOn(tank.id);
  const tell = useNotice();
  return (
    <section aria-label="Dosing is on hold" className="grid gap-2 border-l-4 border-danger pl-4">
      <p className="max-w-prose text-lg font-semibold">
        {hold.earliest
          ? `■ Power was out from ${dayAndTime(hold.from, tank.zone)}. Dosing waits until the return has run for half an hour and you have checked it.`
          : '■ Power is out: keep every doser off, also when power returns.'}
      </p>
      {hold.earliest && (
        <div className="flex flex-wrap items-center gap-3">
          <Button
            disabled={goOn.isPending}
            onClick={() =>
              void goOn
                .mutateAsync(undefined)
                .then(() => tell('Dosing continues from now.'))
                .catch(() => undefined)
            }
          >
            The return runs: continue dosing
          </Button>
          <span className="text-soft">from {dayAndTime(hold.earliest, tank.zone)} on</span>
        </div>
      )}
      <Refusal message={goOn.error?.message} />
    </section>
  );
}

function DosingLine({ line, all, now }: { line: Line; all: readonly Line[]; now: number }) {
  const { tank, units } = useAtTank();
  const [ref, width] = useWidth();
  const tell = useNotice();
  const end = useEndLine(tank.id);
  const reopen = useReopenLine(tank.id);
  const drop = useDeleteLine(tank.id);
  const remember = useRememberLine(tank.id);
  const levels = line.notes.filter((n) => n.ml !== undefined);
  const first = Date.parse(levels[0]?.at ?? '');
  const worth = beforeAndAfter(line.runs);
  const [day, setDay] = useState(false);
  const put = asMeasure(line);
  return (
    <section
      aria-label={line.name}
      className="grid gap-x-10 gap-y-4 border-b pb-6 lg:grid-cols-[minmax(0,1fr)_19rem]"
    >
      <div className="grid content-start gap-3">
        <h1 className="text-soft">
          <strong className="text-ink">{line.name}</strong>:{' '}
          {line.name !== SOLUTES[line.solute] && `${SOLUTES[line.solute]}, `}
          {(line.molPerL * 1000).toFixed(1)} mmol/L,{' '}
          {line.endedAt
            ? `ended ${dayAndTime(line.endedAt, tank.zone)}`
            : `${brings(line, units)}, ${timesInWords(line.times)}${line.place && `, into ${line.place}`}`}
        </h1>
        <p aria-live="polite" className="text-xl leading-snug font-semibold md:text-2xl">
          {headline(line)}
        </p>
        <p className="text-lg">{[emptyIn(line.daysLeft), worth].filter(Boolean).join(' ')}</p>
        {line.stopped.map((because) => (
          <p key={because} className="max-w-prose border-l-4 border-danger pl-3">
            ■ Today we would not accept this plan. {because}
          </p>
        ))}
        {line.state === 'TOO_MUCH' && (
          <p className="border-l-4 border-danger pl-3">
            ✕ More than planned enters the water. Stop the pump. Test alkalinity and pH. Look for a
            siphon: a hose that ends under water.
          </p>
        )}
        <figure ref={ref} className="grid gap-1">
          {width > 0 && levels.length > 1 && (
            <>
              <ReservoirDrawing
                notes={line.notes}
                runs={line.runs}
                vesselMl={line.vesselMl}
                from={Math.max(first, now - SHOWN_DAYS * DAY_MS)}
                until={now}
                width={width}
              />
              <figcaption className="text-sm text-soft">
                mL in the reservoir. Dots: levels. Triangles: fillings. Shaded: on plan.
              </figcaption>
            </>
          )}
        </figure>
        {!line.endedAt && <LineNoteForm line={line} />}
        <Noted line={line} />
      </div>
      <aside
        aria-label={`What to do about ${line.name}`}
        className="grid content-start gap-5 lg:border-l lg:pl-8"
      >
        <Next line={line} />
        {line.lookFor.length > 0 && (
          <div>
            <h2 className="font-bold">Look for</h2>
            <ul className="list-disc pl-5">
              {line.lookFor.map((cause) => (
                <li key={cause}>{cause}</li>
              ))}
            </ul>
          </div>
        )}
        {!line.endedAt && <VesselGuard line={line} />}
        <div className="grid justify-items-start">
          <Link
            to={ROUTE_OF_CARD}
            params={{ tankId: tank.id }}
            search={{ line: line.id }}
            className={buttonLook('quiet')}
          >
            Mixing card and label
          </Link>
          {put && !line.endedAt && (
            <Button look="quiet" aria-expanded={day} onClick={() => setDay(!day)}>
              {day ? 'Hide the effect on the day' : 'Show the effect on the day'}
            </Button>
          )}
          {line.endedAt ? (
            <>
              <Button look="quiet" onClick={() => reopen.mutate(line.id)}>
                Resume this line
              </Button>
              <Button
                look="quiet"
                onClick={() =>
                  drop.mutate(line.id, {
                    onSuccess: () => tell('Removed.', () => remember.mutate(line.id)),
                  })
                }
              >
                Remove this dosing line and its levels
              </Button>
            </>
          ) : (
            <Button
              look="quiet"
              onClick={() =>
                void end
                  .mutateAsync(line.id)
                  .then(() =>
                    tell('This dosing line has stopped.', () => void reopen.mutateAsync(line.id)),
                  )
                  .catch((problem: unknown) =>
                    tell(problem instanceof Error ? problem.message : String(problem)),
                  )
              }
            >
              Stop this dosing line
            </Button>
          )}
        </div>
      </aside>
      {day && put && (
        <div className="lg:col-span-2">
          <DayWithLine put={put} others={shareOfOthers(line, all)} />
        </div>
      )}
    </section>
  );
}

/** Half of what is missing at a time. */
function Next({ line }: { line: Line }) {
  const { tank, units } = useAtTank();
  const plan = usePlanLine(tank.id);
  const tell = useNotice();
  if (line.endedAt) return null;
  const words = nextStep(line, units);
  const mlPerDay = Math.round(line.next?.mlPerDay ?? line.mlPerDay);
  const set = (ml: number) =>
    plan.mutateAsync({ id: line.id, at: localInput(new Date(), tank.zone), mlPerDay: ml });
  return (
    <section aria-label={`Next step for ${line.name}`} className="grid justify-items-start gap-2">
      <h2 className="text-sm text-soft">Next step</h2>
      {words ? (
        <>
          <p>{words}</p>
          <Button
            look="main"
            disabled={plan.isPending}
            onClick={() =>
              void set(mlPerDay)
                .then(() => tell('Plan saved. Set the pump to it.', () => void set(line.mlPerDay)))
                .catch(() => undefined)
            }
          >
            Plan {mlPerDay} mL a day
          </Button>
        </>
      ) : (
        <p className="text-xl leading-snug font-semibold">{stepWithoutPlan(line)}</p>
      )}
      <Refusal message={plan.error?.message} />
    </section>
  );
}

const NOTED: Record<LineNote['kind'], string> = {
  LEVEL: 'held',
  FILLED: 'Filled to',
  BUBBLES: 'Bubbles in the tube',
  CYLINDER: 'Measured in a cylinder',
  CHANGED: 'changed',
};

/** A note once more, as it was. */
const again = (id: string, { at, kind, ml, askedMl, note }: LineNote) => ({
  id,
  at,
  kind,
  value: ml,
  asked: askedMl,
  note,
});

/** A cylinder is read to halves; a vessel is not. */
const amount = ({ ml, askedMl }: LineNote) =>
  ml === undefined
    ? ''
    : askedMl === undefined
      ? `${Math.round(ml)} mL`
      : `${plain(ml, 1)} of ${plain(askedMl, 1)} mL`;

/** What was noted last, to be taken back. */
function Noted({ line }: { line: Line }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const forget = useForgetLineNote(tank.id);
  const note = useNoteLine(tank.id);
  const [all, setAll] = useState(false);
  const newest = [...line.notes].reverse();
  const shown = all ? newest : newest.slice(0, NEWEST);
  if (newest.length === 0) return null;
  return (
    <div>
      <ul className="grid gap-x-10 md:grid-cols-2">
        {shown.map((n) => (
          <li key={n.id} className="flex items-baseline gap-3 border-b py-1">
            <span className="text-soft">{dayAndTime(n.at, tank.zone)}</span>
            <span>
              {NOTED[n.kind]} {amount(n)} {n.note}
            </span>
            <Button
              look="quiet"
              className="ml-auto"
              aria-label={`Remove ${NOTED[n.kind]} of ${dayAndTime(n.at, tank.zone)}`}
              disabled={forget.isPending}
              onClick={() =>
                forget.mutate(
                  { id: line.id, noteId: n.id },
                  { onSuccess: () => tell('Removed.', () => note.mutate(again(line.id, n))) },
                )
              }
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
      {newest.length > NEWEST && (
        <Button look="quiet" onClick={() => setAll(!all)}>
          {all ? 'the newest only' : `all ${newest.length}`}
        </Button>
      )}
    </div>
  );
}
