import type { NewNote, OutageView, TankClock } from '../../api/types';
import { words } from '../../lib/checks';
import { measure, show } from '../../lib/measure';
import { readNumber } from '../../lib/number';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { useAtTank } from '../../TankContext';
import { useSaid } from './useSaid';

type Note = (noted: Omit<NewNote, 'id' | 'at'>) => void;

const inWords = z.object({ text: words('Enter a word or two.', 500) });

/** No clock counts on them: the steps after the outage say what to watch. */
const AGAINST_AMMONIA = [
  { kind: 'SPONGE_IN', label: 'Seasoned sponge in', says: 'Logged: seasoned sponge.' },
  { kind: 'BACTERIA_IN', label: 'Bacteria in', says: 'Logged: bacteria. They use oxygen too.' },
  { kind: 'BINDER_IN', label: 'Ammonia binder in', says: 'Logged: binder. Keep the air running.' },
] as const;

/** One number, noted with one thumb. */
function NoteNumber({
  label,
  unit,
  least,
  most,
  hint,
  note,
}: {
  label: string;
  unit: string;
  least: number;
  most: number;
  hint?: string;
  note: (value: number) => void;
}) {
  const schema = z.object({
    value: z.string().refine((text) => {
      const value = readNumber(text);
      return value !== null && value >= least && value <= most;
    }, `Enter ${least}–${most}.`),
  });
  const { form, field } = useTypedForm(schema, { value: '' });
  const save = form.handleSubmit(({ value }) => {
    note(readNumber(value) ?? 0);
    form.reset();
  });
  return (
    <form className="flex items-start gap-3" noValidate onSubmit={(e) => void save(e)}>
      <Field label={label} inputMode="decimal" unit={unit} hint={hint} {...field('value')} />
      <Button type="submit" className="mt-6 min-h-11" aria-label={`Log: ${label}`}>
        Log
      </Button>
    </form>
  );
}

export const NoteOxygen = ({ note }: { note: (value: number) => void }) => (
  <NoteNumber label="Oxygen, measured" unit="mg/L" least={0} most={20} note={note} />
);

/** What moves the prediction or belongs into the report, but is not needed in the first minutes. */
export function MoreNotes({
  clock,
  view,
  ammonia,
  note,
}: {
  clock: TankClock;
  view: OutageView;
  ammonia: number | undefined;
  note: Note;
}) {
  const { units } = useAtTank();
  const celsius = measure('temperature', units);
  const degrees = (c: number) => Number(celsius.from(c).toFixed(0));
  const tankId = clock.tankId;
  const said = useTypedForm(inWords, { text: '' });
  const say = said.form.handleSubmit(({ text }) => {
    note({ tankId, kind: 'NOTE', text });
    said.form.reset();
  });
  const noted = (kind: NewNote['kind']) =>
    view.notes.some((n) => n.kind === kind && (n.tankId === undefined || n.tankId === tankId));
  const [told, tell] = useSaid();
  const happened = (kind: NewNote['kind'], words: string, more: Partial<NewNote> = {}) => {
    note({ tankId, kind, ...more });
    tell(words);
  };
  const packs = view.notes.filter((n) => n.kind === 'HEAT_PACKS' && n.tankId === tankId).at(-1);
  const number = (kind: NewNote['kind']) => (value: number) => note({ tankId, kind, value });
  return (
    <details>
      <summary className="min-h-11 text-lg">Meals, warmth, ammonia, notes</summary>
      {!view.endedAt && (
        <div className="grid gap-2 pt-2">
          <div className="flex flex-wrap gap-3">
            <Button
              className="min-h-14"
              onClick={() =>
                happened('FED_NOW', 'Logged: fed now. They use more oxygen for 6 hours.')
              }
            >
              Fed just now
            </Button>
            <Button
              className="min-h-14"
              aria-pressed={noted('WRAPPED')}
              onClick={() => happened('WRAPPED', 'Logged: wrapped. It cools more slowly.')}
            >
              Wrapped in blankets
            </Button>
            <Button
              className="min-h-14"
              onClick={() =>
                happened('HEAT_PACKS', 'Logged: one more heat pack outside.', {
                  value: (packs?.value ?? 0) + 1,
                })
              }
            >
              Heat pack outside{packs?.value ? ` (${packs.value})` : ''}
            </Button>
            <Button
              className="min-h-14"
              aria-pressed={view.nobodyComes}
              onClick={() =>
                view.nobodyComes
                  ? happened('SOMEBODY_COMES', 'Logged: someone can get there.')
                  : happened(
                      'NOBODY_COMES',
                      'Logged: nobody can come. We plan with what starts by itself.',
                    )
              }
            >
              {view.nobodyComes ? 'Someone can come' : 'Nobody can come'}
            </Button>
          </div>
        </div>
      )}
      <div className="flex flex-wrap gap-3 pt-2">
        {AGAINST_AMMONIA.map(({ kind, label, says }) => (
          <Button
            key={kind}
            className="min-h-14"
            aria-pressed={noted(kind)}
            onClick={() => happened(kind, says)}
          >
            {label}
          </Button>
        ))}
      </div>
      {told}
      <div className="grid gap-4 pt-2 md:grid-cols-2">
        {!view.endedAt && (
          <>
            <NoteNumber
              label="Water temperature"
              unit={celsius.label}
              least={degrees(5)}
              most={degrees(38)}
              hint="Moves the clock: warm water holds less oxygen."
              note={(value) =>
                note({ tankId, kind: 'WATER_TEMPERATURE', value: celsius.to(value) })
              }
            />
            <NoteNumber
              label="Room temperature"
              unit={celsius.label}
              least={degrees(-20)}
              most={degrees(45)}
              hint={`${noted('ROOM_TEMPERATURE') ? 'Logged' : 'Assumed'}: ${show(clock.roomC, 'temperature', units)}.`}
              note={(value) => note({ kind: 'ROOM_TEMPERATURE', value: celsius.to(value) })}
            />
            <NoteNumber
              label="Last meal before the cut"
              unit="h"
              least={0}
              most={1000}
              hint={`${noted('FED') ? 'Logged' : 'Assumed'}: ${clock.fedH} h.`}
              note={number('FED')}
            />
          </>
        )}
        <NoteNumber
          label="Ammonia test"
          unit="mg/L"
          least={0}
          most={20}
          hint={
            ammonia !== undefined && !view.endedAt
              ? `At most ${ammonia.toFixed(2)} mg/L nitrogen from the fish so far.`
              : 'Test every day until zero.'
          }
          note={number('AMMONIA')}
        />
        <NoteNumber
          label="Nitrite test"
          unit="mg/L"
          least={0}
          most={20}
          hint="Test every day until zero, also after power is back."
          note={number('NITRITE')}
        />
        <form
          className="flex items-start gap-3 md:col-span-2"
          noValidate
          onSubmit={(e) => void say(e)}
        >
          <Field className="grow" label="Note" maxLength={500} {...said.field('text')} />
          <Button type="submit" className="mt-6 min-h-11">
            Log
          </Button>
        </form>
      </div>
    </details>
  );
}
