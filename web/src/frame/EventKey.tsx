import { useSearch } from '@tanstack/react-router';
import { useEffect, useState, type SubmitEvent } from 'react';
import { useAddEvent, useDeleteEvent } from '../api/hooks';
import type { EventKind, Tank } from '../api/types';
import { localInput } from '../lib/time';
import { Button } from '../parts/Button';
import { Choice, Field } from '../parts/Field';
import { useNotice } from '../parts/Notices';
import { Sheet } from '../parts/Sheet';
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

function EventForm({ tank, done }: { tank: Tank; done: () => void }) {
  const add = useAddEvent(tank.id);
  const remove = useDeleteEvent(tank.id);
  const tell = useNotice();
  const [title, setTitle] = useState('');
  const [kind, setKind] = useState<EventKind>('REMEDY');
  const { day } = useSearch({ strict: false });
  const [at, setAt] = useState(() => inTheDayShown(day, localInput(new Date(), tank.zone)));
  const [until, setUntil] = useState('');
  const [excludesDays, setExcludesDays] = useState(false);
  const [note, setNote] = useState('');
  const submit = (e: SubmitEvent) => {
    e.preventDefault();
    add.mutate(
      { title, kind, at, until: until === '' ? undefined : until, excludesDays, note },
      {
        onSuccess: (event) => {
          tell('Event noted.', () => remove.mutate(event.id));
          done();
        },
      },
    );
  };
  return (
    <form onSubmit={submit} className="grid gap-4" noValidate>
      <Field
        label="What"
        value={title}
        onChange={(e) => setTitle(e.target.value)}
        error={add.error?.at('title')}
        placeholder="window open, venturi cleaned, new salt…"
        autoFocus
      />
      <div className="grid gap-4 md:grid-cols-2">
        <Choice
          label="Kind"
          value={kind}
          onChange={(e) => setKind(e.target.value as EventKind)}
          options={EVENT_KINDS.map((k) => ({ value: k, label: EVENT_NAMES[k] }))}
        />
        <Field
          label="When it began"
          type="datetime-local"
          value={at}
          onChange={(e) => setAt(e.target.value)}
          error={add.error?.at('at')}
        />
        <Field
          label="When it was over"
          type="datetime-local"
          value={until}
          onChange={(e) => setUntil(e.target.value)}
          error={add.error?.at('until')}
          hint="Empty: a moment, or it lasts."
        />
        <label className="flex min-h-11 items-center gap-3 self-center">
          <input
            type="checkbox"
            className="size-5 accent-accent"
            checked={excludesDays}
            onChange={(e) => setExcludesDays(e.target.checked)}
          />
          Leave its days out of what the twin is fitted to
        </label>
      </div>
      <Field
        label="Note"
        value={note}
        onChange={(e) => setNote(e.target.value)}
        error={add.error?.at('note')}
      />
      {add.error && add.error.errors.length === 0 && (
        <p role="alert" className="font-semibold">
          ✕ {add.error.message}
        </p>
      )}
      <Button look="main" type="submit" disabled={title.trim() === '' || add.isPending}>
        Note it
      </Button>
    </form>
  );
}
