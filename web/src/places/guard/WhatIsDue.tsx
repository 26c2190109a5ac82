import { useCalendarSince, useDue, useSubscribe, useWithdrawCalendar } from '../../api/guard';
import type { Due } from '../../api/types';
import { useHelper } from '../../frame/useHelper';
import { dayAndTime, dayOfMonth } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useAtTank } from '../../TankContext';

const SHOWN = 4;

const inWords = (d: Due) => (
  <li key={d.id} className={d.late ? 'border-l-4 border-alk pl-3' : 'pl-4'}>
    {d.late ? 'now' : dayOfMonth(d.on)}: {d.what}
  </li>
);

/** Tests, dates and media of this home, also for a calendar. */
export function WhatIsDue({ homeId }: { homeId: string }) {
  const due = useDue(homeId).data ?? [];
  const helper = useHelper();
  if (due.length === 0) return null;
  return (
    <section aria-labelledby="due" className="grid gap-2 border-t pt-4">
      <h2 id="due" className="text-lg font-bold">
        What is due
      </h2>
      <ul>{due.slice(0, SHOWN).map(inWords)}</ul>
      {due.length > SHOWN && (
        <details>
          <summary className="min-h-11 text-soft">{due.length - SHOWN} more</summary>
          <ul>{due.slice(SHOWN).map(inWords)}</ul>
        </details>
      )}
      <a
        className={`${buttonLook('quiet')} justify-self-start`}
        href={`/api/v1/homes/${homeId}/due.ics`}
        download="due.ics"
      >
        Export to a calendar (iCalendar file)
      </a>
      {!helper && <Subscribe homeId={homeId} />}
    </section>
  );
}

/** An address that a calendar reads by itself, for whoever it is given to. */
function Subscribe({ homeId }: { homeId: string }) {
  const since = useCalendarSince(homeId).data?.since;
  const subscribe = useSubscribe(homeId);
  const withdraw = useWithdrawCalendar(homeId);
  const tell = useNotice();
  const { tank } = useAtTank();
  const token = subscribe.data?.token;
  return (
    <div className="grid gap-2">
      {since && (
        <p className="max-w-prose">
          Calendar address created {dayAndTime(since, tank.zone)}. Anyone with the address can read
          what is due here, nothing else.
        </p>
      )}
      {token && since && (
        <Field
          label="Subscribe to this address in your calendar. We show it only once"
          readOnly
          value={`${location.origin}/api/v1/calendar/${token}`}
          onFocus={(e) => e.target.select()}
        />
      )}
      <div className="flex flex-wrap gap-4">
        <Button
          look="quiet"
          disabled={subscribe.isPending}
          onClick={() => subscribe.mutate(undefined)}
        >
          {since ? 'Create a new address (the old one stops)' : 'Create a calendar address'}
        </Button>
        {since && (
          <Button
            look="quiet"
            disabled={withdraw.isPending}
            onClick={() =>
              void withdraw
                .mutateAsync(undefined)
                .then(() => tell('This address no longer works.'))
                .catch(() => undefined)
            }
          >
            Revoke
          </Button>
        )}
      </div>
      <Refusal message={subscribe.error?.message ?? withdraw.error?.message} />
    </div>
  );
}
