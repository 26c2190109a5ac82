import { useState } from 'react';
import { useAddEvent, useDeleteEvent } from '../../api/events';
import type { EventKind } from '../../api/types';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { useAtTank } from '../../TankContext';

/** Kinds that cut what is compared: what moves nothing would be found again. */
const KINDS: readonly { value: EventKind; label: string }[] = [
  { value: 'FAULT', label: 'a fault' },
  { value: 'REMEDY', label: 'a remedy' },
  { value: 'MAINTENANCE', label: 'maintenance' },
  { value: 'ADDITIVE', label: 'an additive' },
  { value: 'PEOPLE', label: 'people' },
];

/** Notes what the log showed as an event. */
export function NoteForm({
  suggested,
  since,
  text,
  close,
}: {
  suggested: string;
  /** The local day on which it began. */
  since: string;
  /** What was found, for the event's text. */
  text: string;
  close: () => void;
}) {
  const { tank } = useAtTank();
  const [title, setTitle] = useState(suggested);
  const [kind, setKind] = useState<EventKind>('FAULT');
  const [at, setAt] = useState(`${since}T00:00`);
  const add = useAddEvent(tank.id);
  const remove = useDeleteEvent(tank.id);
  const tell = useNotice();
  const note = () =>
    add
      .mutateAsync({ kind, at, title, note: text })
      .then((event) =>
        tell(`“${event.title}” added. The days around it are compared again.`, () =>
          remove.mutate(event.id),
        ),
      )
      .catch(() => undefined);
  return (
    <form
      className="grid max-w-prose gap-3 sm:grid-cols-2"
      onSubmit={(e) => {
        e.preventDefault();
        void note();
      }}
    >
      <Field
        label="Title"
        value={title}
        maxLength={120}
        required
        onChange={(e) => setTitle(e.target.value)}
        error={add.error?.message}
        className="sm:col-span-2"
      />
      <Choice
        label="Kind"
        value={kind}
        options={KINDS}
        onChange={(e) => setKind(e.target.value as EventKind)}
      />
      <When label="Since" kind="moment" value={at} onChange={(e) => setAt(e.target.value)} />
      <div className="flex flex-wrap gap-3 sm:col-span-2">
        <Button type="submit" look="main" disabled={add.isPending}>
          Add
        </Button>
        <Button look="quiet" onClick={close}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
