import { useState, type SubmitEvent } from 'react';
import { useCorrectReading } from '../../api/hooks';
import type { Method, Reading } from '../../api/types';
import { readNumber } from '../../lib/number';
import { dayAndTime, localInput } from '../../lib/time';
import { METHOD, RAW_UNIT } from '../../lib/units';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';
import { EVERYTHING } from './quantities';

/** Corrects one reading's value, time or method; the correction can be taken back. */
export function CorrectSheet({ reading, close }: { reading: Reading; close: () => void }) {
  const { tank } = useAtTank();
  const correct = useCorrectReading(tank.id);
  const tell = useNotice();
  const shownAt = localInput(new Date(reading.at), tank.zone);
  const [text, setText] = useState(String(reading.value));
  const [at, setAt] = useState(shownAt);
  const [method, setMethod] = useState<Method>(reading.method);
  const value = readNumber(text);
  const methods =
    EVERYTHING.find((m) => m.place === reading.place && m.units.includes(reading.unit))?.methods ??
    [];

  const put = (
    id: string,
    to: { at: string; value: number; method: Method },
    done: (r: Reading) => void,
  ) =>
    correct.mutate(
      {
        id,
        body: {
          at: to.at,
          values: [
            { unit: reading.unit, place: reading.place, method: to.method, value: to.value },
          ],
        },
      },
      { onSuccess: done },
    );

  const submit = (e: SubmitEvent) => {
    e.preventDefault();
    if (value === null) return;
    // An untouched time keeps its seconds.
    put(reading.id, { at: at === shownAt ? reading.at : at, value, method }, (corrected) => {
      tell('Corrected.', () => put(corrected.id, reading, () => tell('The old value is back.')));
      close();
    });
  };

  const problem = correct.error;
  return (
    <Sheet
      open
      onOpenChange={close}
      title="Correct a reading"
      about={`${reading.value} ${RAW_UNIT[reading.unit].label}, ${dayAndTime(reading.at, tank.zone)}`}
    >
      <form onSubmit={submit} className="grid gap-4" noValidate>
        <Field
          label="Value"
          inputMode="decimal"
          value={text}
          unit={RAW_UNIT[reading.unit].label}
          onChange={(e) => setText(e.target.value)}
          error={value === null ? 'This is not a number.' : problem?.at('values[0].value')}
          autoFocus
        />
        <Field
          label="Taken at"
          type="datetime-local"
          value={at}
          onChange={(e) => setAt(e.target.value)}
          error={problem?.at('at')}
        />
        <Choice
          label="Measured with"
          value={method}
          onChange={(e) => setMethod(e.target.value as Method)}
          options={methods.map((m) => ({ value: m, label: METHOD[m] }))}
        />
        {problem && problem.errors.length === 0 && (
          <p role="alert" className="font-semibold">
            ✕ {problem.message}
          </p>
        )}
        <Button look="main" type="submit" disabled={value === null || correct.isPending}>
          Correct
        </Button>
      </form>
    </Sheet>
  );
}
