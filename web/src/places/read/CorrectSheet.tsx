import { useState } from 'react';
import { useCorrectReading } from '../../api/log';
import type { Method, Reading } from '../../api/types';
import { localTime, number } from '../../lib/checks';
import { readNumber } from '../../lib/number';
import { dayAndTime, localInput } from '../../lib/time';
import { METHOD, RAW_UNIT } from '../../lib/units';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';
import { EVERYTHING } from './quantities';
import { UnusualSheet, unusualOf, type Unusual } from './UnusualSheet';

const schema = z.object({ value: number('The value'), at: localTime, method: z.string() });

type Taken = Pick<Reading, 'at' | 'unit' | 'value' | 'method'>;

/** Corrects one reading's value, time or method; the correction can be taken back. */
export function CorrectSheet({ reading, close }: { reading: Reading; close: () => void }) {
  const { tank } = useAtTank();
  const correct = useCorrectReading(tank.id);
  const tell = useNotice();
  const shownAt = localInput(new Date(reading.at), tank.zone);
  const { form, field, refuse, refusal } = useTypedForm(
    schema,
    { value: String(reading.value), at: shownAt, method: reading.method },
    (name) => (name === 'values[0].value' ? 'value' : name),
  );
  const methods =
    EVERYTHING.find((m) => m.place === reading.place && m.units.includes(reading.unit))?.methods ??
    [];

  const [unusual, setUnusual] = useState<{ doubts: Unusual[]; to: Taken } | null>(null);

  const put = (id: string, to: Taken, ask: boolean, done: (r: Reading) => void) =>
    correct.mutate(
      {
        id,
        body: {
          at: to.at,
          ask,
          values: [{ unit: to.unit, place: reading.place, method: to.method, value: to.value }],
        },
      },
      {
        onSuccess: done,
        onError: (problem) => {
          const doubts = unusualOf(problem);
          if (doubts) setUnusual({ doubts, to });
          else {
            setUnusual(null);
            refuse(problem);
          }
        },
      },
    );

  const save = (to: Taken, ask: boolean) =>
    put(reading.id, to, ask, (corrected) => {
      tell('Corrected.', () =>
        put(corrected.id, reading, false, () => tell('The old value is back.')),
      );
      close();
    });

  const submit = form.handleSubmit(({ value, at, method }) =>
    save(
      {
        // An untouched time keeps its seconds.
        at: at === shownAt ? reading.at : at,
        unit: reading.unit,
        value: readNumber(value) ?? reading.value,
        method: method as Method,
      },
      true,
    ),
  );

  if (unusual)
    return (
      <UnusualSheet
        unusual={unusual.doubts}
        values={[{ ...unusual.to, place: reading.place }]}
        save={() => save(unusual.to, false)}
        mend={(_, unit) => save({ ...unusual.to, unit }, true)}
        close={() => setUnusual(null)}
      />
    );

  return (
    <Sheet
      open
      onOpenChange={close}
      title="Correct a reading"
      about={`${reading.value} ${RAW_UNIT[reading.unit].label}, ${dayAndTime(reading.at, tank.zone)}`}
    >
      <form onSubmit={(e) => void submit(e)} className="grid gap-4" noValidate>
        <Field
          label="Value"
          inputMode="decimal"
          unit={RAW_UNIT[reading.unit].label}
          {...field('value')}
          autoFocus
        />
        <When label="Taken at" kind="moment" {...field('at')} />
        <Choice
          label="Measured with"
          {...field('method')}
          options={methods.map((m) => ({ value: m, label: METHOD[m] }))}
        />
        <Refusal message={refusal} />
        <Button look="main" type="submit" disabled={correct.isPending}>
          Correct
        </Button>
      </form>
    </Sheet>
  );
}
