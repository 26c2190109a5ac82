import { useState } from 'react';
import { useDeleteReadings, useSaveReadings } from '../../../api/log';
import { readNumber } from '../../../lib/number';
import { localInput } from '../../../lib/time';
import { Button } from '../../../parts/Button';
import { Field } from '../../../parts/Field';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';

/** Two reads of one colour kit further apart are read again. Common practice: a kit tells 0.2 to 0.3. */
const MOST_APART = 0.3;

/** A colour kit beside the probe: two independent reads, at the hour of the probe's own. */
export function BesideIt() {
  const { tank } = useAtTank();
  const save = useSaveReadings(tank.id);
  const remove = useDeleteReadings(tank.id);
  const tell = useNotice();
  const [first, setFirst] = useState('');
  const [second, setSecond] = useState('');
  const a = readNumber(first);
  const b = readNumber(second);
  const apart = a !== null && b !== null && Math.abs(a - b) > MOST_APART + 1e-9;
  const keep = () =>
    a !== null &&
    b !== null &&
    save.mutate(
      {
        at: localInput(new Date(), tank.zone),
        values: [
          {
            unit: 'PH_NBS',
            method: 'COLOUR_KIT',
            place: 'TANK',
            value: Math.round((a + b) * 50) / 100,
          },
        ],
      },
      {
        onSuccess: (kept) => {
          tell('The kit’s reading is kept.', () => remove.mutate(kept.map((r) => r.id)));
          setFirst('');
          setSecond('');
        },
      },
    );
  return (
    <section aria-labelledby="beside" className="grid gap-3 border-t pt-4">
      <h2 id="beside" className="text-xl font-bold">
        A colour kit beside it
      </h2>
      <p>
        Two reads that know nothing of each other, by daylight, best of two people. No guess between
        the steps of its card.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="first read"
          unit="pH"
          inputMode="decimal"
          value={first}
          onChange={(e) => setFirst(e.target.value)}
        />
        <Field
          label="second read"
          unit="pH"
          inputMode="decimal"
          value={second}
          onChange={(e) => setSecond(e.target.value)}
          error={apart ? 'More than 0.3 apart: read both again.' : undefined}
        />
      </div>
      <Refusal message={save.error?.message} />
      <Button disabled={a === null || b === null || apart || save.isPending} onClick={keep}>
        Keep their mean
      </Button>
    </section>
  );
}
