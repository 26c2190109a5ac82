import { useSearch } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
import { useAddEvent, useDeleteEvent } from '../api/events';
import type { Tank } from '../api/types';
import { localInput } from '../lib/time';
import { useNotice } from '../parts/Notices';
import { Sheet } from '../parts/Sheet';
import { typing } from './Commands';
import { BLANK, EventForm } from './EventForm';

/** `e` on any screen of a tank: what changed, in five seconds. */
export function EventKey({ tank }: { tank: Tank }) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== 'e' || typing(e.target) || e.ctrlKey || e.metaKey || e.altKey) return;
      e.preventDefault();
      setOpen(true);
    };
    const onAsked = () => setOpen(true);
    document.addEventListener('keydown', onKey);
    document.addEventListener('note-event', onAsked);
    return () => {
      document.removeEventListener('keydown', onKey);
      document.removeEventListener('note-event', onAsked);
    };
  }, []);
  return (
    <Sheet
      open={open}
      onOpenChange={setOpen}
      title="What changed?"
      about="The event appears on every time axis, so you can match pH changes to causes."
    >
      <FreshEvent tank={tank} done={() => setOpen(false)} />
    </Sheet>
  );
}

/** On a past day's page an event is of that day, at noon; else it is now. */
const inTheDayShown = (day: string | undefined, now: string) =>
  day === undefined || now.startsWith(day) ? now : `${day}T12:00`;

function FreshEvent({ tank, done }: { tank: Tank; done: () => void }) {
  const add = useAddEvent(tank.id);
  const remove = useDeleteEvent(tank.id);
  const tell = useNotice();
  const { day } = useSearch({ strict: false });
  return (
    <EventForm
      start={{ ...BLANK, at: inTheDayShown(day, localInput(new Date(), tank.zone)) }}
      label="Add"
      pending={add.isPending}
      keptAs={`new-event-${tank.id}`}
      save={(event, refuse, sent) =>
        add.mutate(event, {
          onSuccess: (noted) => {
            sent();
            tell('Event added.', () => remove.mutate(noted.id));
            done();
          },
          onError: refuse,
        })
      }
    />
  );
}
