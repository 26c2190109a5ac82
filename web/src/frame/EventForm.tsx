import type { Problem } from '../api/client';
import type { NewEvent, TankEvent } from '../api/types';
import { localTime, words } from '../lib/checks';
import { localInput } from '../lib/time';
import { useTypedForm } from '../lib/useTypedForm';
import { z } from '../lib/zod';
import { Button } from '../parts/Button';
import { Choice } from '../parts/Choice';
import { Field } from '../parts/Field';
import { When } from '../parts/When';
import { Refusal } from '../parts/Refusal';
import { Tick } from '../parts/Tick';
import { EVENT_KINDS, EVENT_NAMES } from './eventKinds';

const schema = z.object({
  title: words('Enter what changed in a word or two.', 120),
  kind: z.enum(EVENT_KINDS),
  at: localTime,
  until: z.string(),
  excludesDays: z.boolean(),
  note: z.string().max(1000, 'At most 1000 characters.'),
});

type Typed = z.infer<typeof schema>;

export const BLANK: Typed = {
  title: '',
  kind: 'REMEDY',
  at: '',
  until: '',
  excludesDays: false,
  note: '',
};

/** An event as it is typed in its home's zone. */
export function asTyped(event: TankEvent, zone: string): Typed {
  return {
    title: event.title,
    kind: event.kind,
    at: localInput(new Date(event.at), zone),
    until: event.until ? localInput(new Date(event.until), zone) : '',
    excludesDays: event.excludesDays,
    note: event.note,
  };
}

/** What changed, when, and for how long. */
export function EventForm({
  start,
  label,
  pending,
  keptAs,
  save,
}: {
  start: Typed;
  label: string;
  pending: boolean;
  /** Under which it is kept until it is sent. */
  keptAs: string;
  save: (event: NewEvent, refuse: (problem: Problem) => void, sent: () => void) => void;
}) {
  const { form, field, refuse, sent, refusal } = useTypedForm(
    schema,
    start,
    (name) => name.replace(/^event\./, ''),
    keptAs,
  );
  const submit = form.handleSubmit(({ until, ...event }) =>
    save({ ...event, until: until === '' ? undefined : until }, refuse, sent),
  );
  return (
    <form onSubmit={(e) => void submit(e)} className="grid gap-4" noValidate>
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
        <When label="When it began" kind="moment" {...field('at')} />
        <When
          label="When it ended"
          kind="moment"
          {...field('until')}
          hint="Leave empty for a single moment or if it still lasts."
        />
        <Tick className="self-center" {...field('excludesDays')}>
          Leave these days out when fitting the model of your tank
        </Tick>
      </div>
      <Field label="Note" {...field('note')} />
      <Refusal message={refusal} />
      <Button look="main" type="submit" disabled={pending}>
        {label}
      </Button>
    </form>
  );
}
