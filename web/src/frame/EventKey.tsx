import { useSearch } from '@tanstack/react-router';
import { useEffect, useState } from 'react';
import { useAddEvent, useDeleteEvent } from '../api/hooks';
import type { Tank } from '../api/types';
import { localTime, words } from '../lib/checks';
import { localInput } from '../lib/time';
import { useTypedForm } from '../lib/useTypedForm';
import { z } from '../lib/zod';
import { Button } from '../parts/Button';
import { Choice, Field } from '../parts/Field';
import { useNotice } from '../parts/Notices';
import { Refusal } from '../parts/Refusal';
import { Sheet } from '../parts/Sheet';
import { Tick } from '../parts/Tick';
import { typing } from './Commands';
import { EVENT_KINDS, EVENT_NAMES } from './eventKinds';

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
      about="It stands on every time axis from then on, so that a change of pH finds its cause."
    >
      <EventForm tank={tank} done={() => setOpen(false)} />
    </Sheet>
  );
}

/** On a past day's page an event is of that day, at noon; else it is now. */
const inTheDayShown = (day: string | undefined, now: string) =>
  day === undefined || now.startsWith(day) ? now : `${day}T12:00`;

const schema = z.object({
  title: words('Say in a word or two what changed.', 200),
  kind: z.enum(EVENT_KINDS),
  at: localTime,
  until: z.string(),
  excludesDays: z.boolean(),
  note: z.string().max(2000, 'At most 2000 characters.'),
});

function EventForm({ tank, done }: { tank: Tank; done: () => void }) {
  const add = useAddEvent(tank.id);
  const remove = useDeleteEvent(tank.id);
  const tell = useNotice();
  const { day } = useSearch({ strict: false });
  const { form, field, refuse, refusal } = useTypedForm(schema, {
    title: '',
    kind: 'REMEDY',
    at: inTheDayShown(day, localInput(new Date(), tank.zone)),
    until: '',
    excludesDays: false,
    note: '',
  });
  const save = form.handleSubmit(({ until, ...event }) =>
    add.mutate(
      { ...event, until: until === '' ? undefined : until },
      {
        onSuccess: (noted) => {
          tell('Event noted.', () => remove.mutate(noted.id));
          done();
        },
        onError: refuse,
      },
    ),
  );
  return (
    <form onSubmit={(e) => void save(e)} className="grid gap-4" noValidate>
      <Field
        label="What"
        {...field('title')}
        placeholder="window open, venturi cleaned, new salt…"
        autoFocus
      />
      <div className="grid gap-4 md:grid-cols-2">
        <Choice
          label="Kind"
          {...field('kind')}
          options={EVENT_KINDS.map((k) => ({ value: k, label: EVENT_NAMES[k] }))}
        />
        <Field label="When it began" type="datetime-local" {...field('at')} />
        <Field
          label="When it was over"
          type="datetime-local"
          {...field('until')}
          hint="Empty: a moment, or it lasts."
        />
        <Tick className="self-center" {...field('excludesDays')}>
          Leave its days out of what the twin is fitted to
        </Tick>
      </div>
      <Field label="Note" {...field('note')} />
      <Refusal message={refusal} />
      <Button look="main" type="submit" disabled={add.isPending}>
        Note it
      </Button>
    </form>
  );
}
