import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import type { OutageView } from '../../api/types';
import { useHelper } from '../../frame/useHelper';
import { clockTime, dayAndTime, localInput } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { useNow } from '../../parts/useNow';
import { useAtTank } from '../../TankContext';
import { lastAt, since, span } from './outageTime';
import type { useOutage } from './useOutage';

type UsedOutage = ReturnType<typeof useOutage>;

/** Says in words what the server would not do, as a notice. */
function useTry() {
  const tell = useNotice();
  return (work: Promise<unknown>) =>
    void work.catch((e: unknown) => tell(e instanceof Error ? e.message : 'That did not work.'));
}

/** How long the power has been out, since when, and what becomes of these two. */
export function Head({ outage, view }: { outage: UsedOutage; view: OutageView }) {
  const { tank } = useAtTank();
  const now = useNow();
  const tell = useNotice();
  const attempt = useTry();
  const [asked, setAsked] = useState<'start' | 'end' | null>(null);
  const back = (at?: string) => {
    outage.end(at);
    setAsked(null);
    tell(`Power is back since ${clockTime(at ?? new Date(now).toISOString(), tank.zone)}.`, () =>
      attempt(outage.goesOn()),
    );
  };
  return (
    <header className="grid gap-3">
      {outage.rehearsal && (
        <p className="border-l-8 border-accent pl-4 text-2xl font-bold">
          Rehearsal. Nothing here is saved.
        </p>
      )}
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1>
          <span className="block text-soft">
            {view.endedAt ? 'The power was out for' : 'No power for'}
          </span>
          <span className="text-5xl font-bold">{span(since(view, now))}</span>
        </h1>
        {outage.rehearsal ? (
          <Button className="min-h-14 text-lg" onClick={outage.close}>
            End rehearsal
          </Button>
        ) : view.endedAt ? (
          <Button className="min-h-14 text-lg" onClick={() => attempt(outage.goesOn())}>
            Power is still out
          </Button>
        ) : (
          <Button className="min-h-14 text-lg" onClick={() => back()}>
            Power is back
          </Button>
        )}
      </div>
      <p className="flex flex-wrap items-center gap-x-3 text-soft">
        <span>
          since {dayAndTime(view.startedAt, tank.zone)}
          {view.cuts > 1 && `, ${view.cuts} cuts`}
        </span>
        {!outage.rehearsal && outage.reached === 'yes' && (
          <>
            <Button look="quiet" onClick={() => setAsked('start')}>
              Change start
            </Button>
            {!view.endedAt && (
              <Button look="quiet" onClick={() => setAsked('end')}>
                It came back earlier
              </Button>
            )}
          </>
        )}
        {!outage.rehearsal && <FalseAlarm outage={outage} />}
      </p>
      {asked && (
        <Moment
          key={asked}
          label={asked === 'start' ? 'Power failed at' : 'Power came back at'}
          first={asked === 'start' ? view.startedAt : new Date(now).toISOString()}
          cancel={() => setAsked(null)}
          save={(at) => {
            if (asked === 'end') {
              back(at);
              return;
            }
            const before = view.startedAt;
            setAsked(null);
            attempt(
              outage
                .beganAt(at)
                .then(() =>
                  tell(`Start moved to ${clockTime(at, tank.zone)}.`, () =>
                    attempt(outage.beganAt(before)),
                  ),
                ),
            );
          }}
        />
      )}
      <Told outage={outage} view={view} />
    </header>
  );
}

/** What the keeper must hear: a start that a helper moved, what was refused, a server that is away. */
function Told({ outage, view }: { outage: UsedOutage; view: OutageView }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const attempt = useTry();
  const { moved } = view;
  return (
    <>
      {moved && (
        <p role="status" className="flex flex-wrap items-center gap-3 border-l-4 border-alk pl-3">
          {moved.by} moved the start. It was {clockTime(moved.from, tank.zone)}.
          {!helper && (
            <Button look="quiet" onClick={() => attempt(outage.beganAt(moved.from))}>
              Undo
            </Button>
          )}
        </p>
      )}
      {outage.refused.length > 0 && (
        <div role="alert" className="grid gap-1 border-l-4 border-danger pl-3">
          {outage.refused.map((r, i) => (
            <p key={i}>
              ✕ Not saved: {r.what}. {r.why}
            </p>
          ))}
          <Button look="quiet" className="justify-self-start" onClick={outage.read}>
            Got it
          </Button>
        </div>
      )}
      {outage.reached === 'gone' && !outage.rehearsal && (
        <p role="status" className="border-l-4 border-alk pl-3">
          The server does not answer. Go on: this device keeps your log
          {outage.waiting > 0 && ` (${outage.waiting} to send)`}.
          {outage.planAt
            ? ` Predictions are from ${dayAndTime(outage.planAt, tank.zone)}.`
            : ' Predictions stand still until it is back.'}
        </p>
      )}
      {outage.reached === 'signed out' && (
        <p role="status" className="border-l-4 border-alk pl-3">
          You are signed out. The clock runs on, and this device keeps your log.{' '}
          <Link to="/welcome" className={buttonLook('quiet')}>
            Sign in
          </Link>
        </p>
      )}
      {view.tanks.length === 0 && (
        <p className="text-lg">
          Look at the animals. Aerate every tank now. This device has no plan of your tanks yet.
        </p>
      )}
    </>
  );
}

/** A time of day within the last day. */
function Moment({
  label,
  first,
  save,
  cancel,
}: {
  label: string;
  first: string;
  save: (at: string) => void;
  cancel: () => void;
}) {
  const { tank } = useAtTank();
  const now = useNow();
  const [clock, setClock] = useState(() => localInput(new Date(first), tank.zone).slice(11));
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (clock) save(lastAt(clock, now, tank.zone));
      }}
    >
      <When label={label} kind="time" value={clock} onChange={(e) => setClock(e.target.value)} />
      <Button type="submit" look="main">
        Save
      </Button>
      <Button onClick={cancel}>Cancel</Button>
    </form>
  );
}

/** An outage that never was. */
function FalseAlarm({ outage }: { outage: UsedOutage }) {
  const helper = useHelper();
  const tell = useNotice();
  const attempt = useTry();
  if (helper) return null;
  return (
    <Button
      look="quiet"
      onClick={() =>
        attempt(
          outage
            .remove()
            .then((undo) => tell('Outage removed. You can undo this.', () => attempt(undo()))),
        )
      }
    >
      False alarm
    </Button>
  );
}
