import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { asNoted, useDeleteEvent, useEditEvent, useSetMeasures } from '../../api/events';
import type { EventKind, TankEvent } from '../../api/types';
import { asTyped, EventForm } from '../../frame/EventForm';
import { EVENT_NAMES } from '../../frame/eventKinds';
import { useHelper } from '../../frame/useHelper';
import { range, signedRange } from '../../lib/number';
import { dayAndTime, localInput } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';

/** What changed in a stretch of the log, to read and to mend. */
export function WhatChanged({ events }: { events: readonly TankEvent[] }) {
  const helper = useHelper();
  const [mended, setMended] = useState<TankEvent | null>(null);
  if (events.length === 0) return null;
  return (
    <section aria-labelledby="flags" className="border-t pt-3">
      <h2 id="flags" className="pb-1 text-xl font-bold">
        What changed
      </h2>
      <ul className="grid gap-x-10 lg:grid-cols-2">
        {events.map((e) => (
          <Event key={e.id} event={e} mend={helper ? null : () => setMended(e)} />
        ))}
      </ul>
      {mended && <MendSheet event={mended} close={() => setMended(null)} />}
    </section>
  );
}

function Event({ event, mend }: { event: TankEvent; mend: (() => void) | null }) {
  const { tank } = useAtTank();
  return (
    <li className="border-b py-1.5">
      <Link
        to="/tank/$tankId/today"
        params={{ tankId: tank.id }}
        search={{ day: localInput(new Date(event.at), tank.zone).slice(0, 10) }}
        className="font-semibold underline decoration-hairline underline-offset-4 max-md:inline-flex max-md:min-h-11 max-md:items-center"
      >
        {event.title}
      </Link>{' '}
      <span className="text-soft">
        {EVENT_NAMES[event.kind]}, {dayAndTime(event.at, tank.zone)}
        {event.until && ` to ${dayAndTime(event.until, tank.zone)}`}
        {event.excludesDays && ', days left out of the fit'}
      </span>{' '}
      {mend && (
        <Button
          look="quiet"
          className="md:min-h-6!"
          aria-label={`Correct “${event.title}”`}
          onClick={mend}
        >
          Correct
        </Button>
      )}
      {event.note && <span className="block">{event.note}</span>}
      {event.did.length > 0 && (
        <span className="block text-sm text-soft">
          In the model: {event.did.join(', ') + (event.until ? '' : ', still active')}.
          {event.forecast && ` ${forecastInWords(event.forecast)}`}
        </span>
      )}
      {!event.measures && BEGINS_ANEW.includes(event.kind) && (
        <span className="block text-sm text-soft">
          Its effect on the tank is not described, so the model can’t use days before it.
        </span>
      )}
    </li>
  );
}

/** Kinds that make another tank of it, nobody knows in which way. */
const BEGINS_ANEW: readonly EventKind[] = ['REMEDY', 'FAULT', 'MAINTENANCE'];

const forecastInWords = (f: NonNullable<TankEvent['forecast']>) =>
  `Forecast then: daily low ${signedRange(f.gainPh)}, to ${range(f.troughPh, 2)}, after ${Math.round(f.settleHours.value)} h.`;

function MendSheet({ event, close }: { event: TankEvent; close: () => void }) {
  const { tank } = useAtTank();
  const edit = useEditEvent(tank.id);
  const remove = useDeleteEvent(tank.id);
  const set = useSetMeasures(tank.id);
  const tell = useNotice();
  return (
    <Sheet
      open
      onOpenChange={close}
      title="Correct this event"
      about="These days are computed again."
    >
      <EventForm
        start={asTyped(event, tank.zone)}
        label="Save"
        pending={edit.isPending}
        keptAs={`event-${event.id}`}
        save={(typed, refuse, sent) =>
          edit.mutate(
            { id: event.id, version: event.version, event: typed },
            {
              onSuccess: (saved) => {
                sent();
                tell('Event corrected.', () =>
                  edit.mutate({ id: event.id, version: saved.version, event: asNoted(event) }),
                );
                close();
              },
              onError: refuse,
            },
          )
        }
      />
      <div className="flex flex-wrap gap-x-4 pt-4">
        <Link
          to="/tank/$tankId/bench"
          params={{ tankId: tank.id }}
          search={{
            event: event.id,
            sets: event.measures?.length ? [{ name: 'A', put: event.measures }] : undefined,
          }}
          className={buttonLook('quiet')}
        >
          {event.did.length > 0
            ? 'Edit its effect on the Bench'
            : 'Describe its effect on the Bench'}
        </Link>
        {event.measures?.length !== 0 && (
          <Button
            look="quiet"
            disabled={set.isPending}
            onClick={() =>
              set.mutate(
                { id: event.id, version: event.version, measures: [] },
                {
                  onSuccess: () => {
                    tell(`“${event.title}” is marked as without effect.`);
                    close();
                  },
                  onError: (problem) => tell(problem.message),
                },
              )
            }
          >
            Mark as without effect
          </Button>
        )}
        <Button
          look="quiet"
          disabled={remove.isPending}
          onClick={() =>
            remove.mutate(event.id, {
              onSuccess: () => {
                tell('Event deleted.');
                close();
              },
              onError: (problem) => tell(problem.message),
            })
          }
        >
          Delete
        </Button>
      </div>
    </Sheet>
  );
}
