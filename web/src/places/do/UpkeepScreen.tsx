import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import {
  useEditChore,
  useEndChore,
  usePutOff,
  useTakeUpAgain,
  useTick,
  useUntick,
  useUpkeep,
} from '../../api/upkeep';
import type { Found, Task, Tick, Upkeep } from '../../api/types';
import { AHEAD_DAYS, BACK_DAYS, UpkeepDrawing } from '../../drawings/UpkeepDrawing';
import { ROUTE } from '../../frame/places';
import { useHelper } from '../../frame/useHelper';
import { readNumber } from '../../lib/number';
import { dayAndTime, localDay, localInput, shiftDay } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useWidth } from '../../parts/useWidth';
import { OpensSheet } from '../../parts/OpensSheet';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { NewChoreForm } from './NewChoreForm';
import { dueOn, FOUND, reason, shownByLog, taskTitle, upkeepVerdict } from './upkeepWords';

const PUT_OFF_DAYS = 7;
const NEWEST = 6;

/** Do → Upkeep: what keeps the gear doing what the twin takes it to do. */
export function UpkeepScreen() {
  const { tank } = useAtTank();
  const upkeep = useUpkeep(tank.id);
  if (!upkeep.data) return <Waiting error={upkeep.error} retry={() => void upkeep.refetch()} />;
  return <Loaded upkeep={upkeep.data} now={upkeep.dataUpdatedAt} />;
}

function Loaded({ upkeep, now }: { upkeep: Upkeep; now: number }) {
  const helper = useHelper();
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-6">
      <div>
        <h1 aria-live="polite" className="text-2xl font-semibold">
          {upkeepVerdict(upkeep)}
        </h1>
        {upkeep.tasks.length === 0 ? (
          <p className="max-w-prose text-soft">
            A crusted venturi, a coarse air stone or a weak pump looks like a change of the tank.
            Add the tasks that fit yours. What you find each time adjusts the interval.
          </p>
        ) : (
          <p className="text-sm text-soft">
            {BACK_DAYS} days back and {AHEAD_DAYS} ahead of today’s line. Circles: done (filled
            where later than it should have been). Triangle: due.
          </p>
        )}
      </div>
      <ul>
        {upkeep.tasks.map((task) => (
          <OneTask key={task.id} task={task} now={now} />
        ))}
      </ul>
      {!helper && (
        <OpensSheet
          says="Add a task"
          about="What you find each time adjusts how often we call you."
          look={upkeep.tasks.length === 0 ? 'main' : 'plain'}
        >
          {(close) => <NewChoreForm more={upkeep.more} done={close} />}
        </OpensSheet>
      )}
      {!helper && upkeep.ended.length > 0 && <Ended tasks={upkeep.ended} />}
    </div>
  );
}

function OneTask({ task, now }: { task: Task; now: number }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const tell = useNotice();
  const [ref, width] = useWidth();
  const [open, setOpen] = useState<'done' | 'How'>();
  const putOff = usePutOff(tank.id);
  const today = localDay(now, tank.zone);
  const toggle = (what: 'done' | 'How') => setOpen(open === what ? undefined : what);
  const later = () =>
    void putOff
      .mutateAsync({ id: task.id, until: shiftDay(today, PUT_OFF_DAYS) })
      .then(() => tell('Moved by a week.', () => putOff.mutate({ id: task.id })))
      .catch(() => undefined);
  return (
    <li className="grid grid-cols-[minmax(0,1fr)] gap-2 border-t border-hairline py-4">
      <div className="grid items-start gap-x-8 gap-y-2 md:grid-cols-[minmax(0,1fr)_auto]">
        <div>
          <h2 className="text-lg leading-snug font-semibold">
            {taskTitle(task)}{' '}
            <span className={task.late ? 'font-semibold' : 'font-normal text-soft'}>
              · {dueOn(task, today)}
            </span>
          </h2>
          <p className="text-soft">{reason(task, now)}</p>
          {shownByLog(task) && (
            <p>
              {shownByLog(task)}{' '}
              {!helper && (
                <Link
                  to={ROUTE.effects}
                  params={{ tankId: tank.id }}
                  className={buttonLook('quiet')}
                >
                  its days
                </Link>
              )}
            </p>
          )}
        </div>
        <div className="flex flex-wrap items-center gap-3">
          <Button
            look={task.late ? 'main' : 'plain'}
            aria-expanded={open === 'done'}
            onClick={() => toggle('done')}
          >
            Done
          </Button>
          <Button look="quiet" aria-expanded={open === 'How'} onClick={() => toggle('How')}>
            How
          </Button>
          {!helper && task.late && (
            <Button look="quiet" onClick={later} disabled={putOff.isPending}>
              In a week
            </Button>
          )}
        </div>
      </div>
      <div ref={ref}>{width > 0 && <UpkeepDrawing task={task} now={now} width={width} />}</div>
      {open === 'done' && <TickForm task={task} close={() => setOpen(undefined)} />}
      {open === 'How' && <How task={task} />}
      <Refusal message={putOff.error?.message} />
    </li>
  );
}

/** One press says that it was done and what it looked like. */
function TickForm({ task, close }: { task: Task; close: () => void }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const tell = useNotice();
  const tick = useTick(tank.id);
  const untick = useUntick(tank.id);
  const [at, setAt] = useState(() => localInput(new Date(), tank.zone));
  const [note, setNote] = useState('');
  const send = (found?: Found) =>
    void tick
      .mutateAsync({ id: task.id, at, found, note })
      .then((kept) => {
        tell(
          'Done. Logged.',
          helper ? undefined : () => untick.mutate({ id: task.id, doneId: kept.id }),
        );
        close();
      })
      .catch(() => undefined);
  return (
    <div className="grid gap-3 pb-2">
      <div className="flex flex-wrap items-end gap-3">
        <When label="Done on" kind="moment" value={at} onChange={(e) => setAt(e.target.value)} />
        <Field
          label="Note"
          className="min-w-52 flex-1"
          maxLength={200}
          value={note}
          onChange={(e) => setNote(e.target.value)}
        />
      </div>
      {task.kind.showsWear && <p className="text-sm text-soft">What you found:</p>}
      <div className="flex flex-wrap gap-2">
        {task.kind.showsWear &&
          (Object.keys(FOUND) as Found[]).map((found) => (
            <Button key={found} onClick={() => send(found)} disabled={tick.isPending}>
              {FOUND[found]}
            </Button>
          ))}
        <Button
          look={task.kind.showsWear ? 'quiet' : 'main'}
          onClick={() => send()}
          disabled={tick.isPending}
        >
          {task.kind.showsWear ? 'Done, nothing special' : 'Add to log'}
        </Button>
      </div>
      <Refusal message={tick.error?.message} />
    </div>
  );
}

function How({ task }: { task: Task }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const tell = useNotice();
  const untick = useUntick(tank.id);
  const tick = useTick(tank.id);
  const end = useEndChore(tank.id);
  const again = useTakeUpAgain(tank.id);
  const [all, setAll] = useState(false);
  // By promises: the row may be gone before its mutation's own callbacks are called.
  const forget = (d: Tick) =>
    void untick
      .mutateAsync({ id: task.id, doneId: d.id })
      .then(() =>
        tell('Removed.', () =>
          tick.mutate({ id: task.id, at: d.at, found: d.found, note: d.note }),
        ),
      )
      .catch(() => undefined);
  const stop = () =>
    void end
      .mutateAsync(task.id)
      .then(() => tell('Task removed.', () => again.mutate(task.id)))
      .catch(() => undefined);
  return (
    <div className="grid gap-4 pb-2">
      {task.kind.caution && (
        <p className="max-w-prose border-l-4 border-danger pl-3">{task.kind.caution}</p>
      )}
      <ol className="max-w-prose list-decimal pl-6">
        {task.kind.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {!helper && <HowOften key={`${task.name} ${String(task.ownDays)}`} task={task} />}
      {task.done.length > 0 && (
        <ul className="grid gap-x-8 md:grid-cols-2">
          {(all ? task.done : task.done.slice(0, NEWEST)).map((d) => (
            <li
              key={d.id}
              className="flex items-center justify-between gap-3 border-b border-hairline py-1"
            >
              <span>
                <span className="text-soft">{dayAndTime(d.at, tank.zone)}</span>{' '}
                {[d.found && FOUND[d.found], d.note].filter(Boolean).join('; ')}
              </span>
              {!helper && (
                <Button
                  look="quiet"
                  aria-label={`Remove the entry of ${dayAndTime(d.at, tank.zone)}`}
                  onClick={() => forget(d)}
                >
                  ✕
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      <Refusal message={(untick.error ?? end.error)?.message} />
      <div className="flex flex-wrap gap-4">
        {task.done.length > NEWEST && !all && (
          <Button look="quiet" onClick={() => setAll(true)}>
            Show all {task.done.length}
          </Button>
        )}
        {!helper && (
          <Button look="quiet" onClick={stop}>
            Remove task
          </Button>
        )}
      </div>
    </div>
  );
}

/** How often, as its keeper wants it; left empty, what is found moves it. */
function HowOften({ task }: { task: Task }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const edit = useEditChore(tank.id);
  const [days, setDays] = useState(task.ownDays === undefined ? '' : String(task.ownDays));
  const [name, setName] = useState(task.name);
  const read = readNumber(days);
  const own = task.kind.chore === 'OWN';
  const wrong = days.trim() === '' ? own : read === null;
  const save = () =>
    void edit
      .mutateAsync({ id: task.id, name, days: read ?? undefined })
      .then(() =>
        tell('Changed.', () => edit.mutate({ id: task.id, name: task.name, days: task.ownDays })),
      )
      .catch(() => undefined);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field
        label={own ? 'Every' : 'Every (empty: from what you find)'}
        unit="days"
        inputMode="decimal"
        className="w-56"
        value={days}
        error={wrong ? 'Enter a number.' : undefined}
        onChange={(e) => setDays(e.target.value)}
      />
      <Field
        label={own ? 'Task' : 'Which one, or who'}
        className="w-56"
        maxLength={80}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button onClick={save} disabled={edit.isPending || wrong}>
        Save
      </Button>
      <Refusal message={edit.error?.message} />
    </div>
  );
}

function Ended({ tasks }: { tasks: readonly Task[] }) {
  const { tank } = useAtTank();
  const again = useTakeUpAgain(tank.id);
  return (
    <section aria-labelledby="ended" className="border-t border-hairline pt-4">
      <h2 id="ended" className="font-bold">
        Removed tasks
      </h2>
      <ul>
        {tasks.map((task) => (
          <li key={task.id} className="flex flex-wrap items-center gap-x-4">
            <span>{taskTitle(task)}</span>
            <Button look="quiet" onClick={() => again.mutate(task.id)}>
              Restore
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
