import { useState } from 'react';
import { useDeleteReadings, useSaveReadings } from '../../../api/log';
import { useColourKit } from '../../../api/probe';
import { readNumber } from '../../../lib/number';
import { localInput } from '../../../lib/time';
import { Button } from '../../../parts/Button';
import { Field } from '../../../parts/Field';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';

/** A colour kit beside the probe: two independent reads, at the hour of the probe's own. */
export function BesideIt() {
  const { tank } = useAtTank();
  const save = useSaveReadings(tank.id);
  const remove = useDeleteReadings(tank.id);
  const kit = useColourKit();
  const tell = useNotice();
  const [first, setFirst] = useState('');
  const [second, setSecond] = useState('');
  const a = readNumber(first);
  const b = readNumber(second);
  const keep = async (firstPh: number, secondPh: number) => {
    const { phNbs } = await kit.mutateAsync({ firstPh, secondPh });
    const kept = await save.mutateAsync({
      at: localInput(new Date(), tank.zone),
      values: [{ unit: 'PH_NBS', method: 'COLOUR_KIT', place: 'TANK', value: phNbs }],
    });
    tell('Kit reading saved.', () => remove.mutate(kept.map((r) => r.id)));
    setFirst('');
    setSecond('');
  };
  return (
    <section aria-labelledby="beside" className="grid gap-3 border-t pt-4">
      <h2 id="beside" className="text-xl font-bold">
        Compare with a colour kit
      </h2>
      <p>
        Two independent readings in daylight, best by two people. Don’t guess between the steps of
        the card.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="first read"
          unit="pH"
          inputMode="decimal"
          value={first}
          onChange={(e) => setFirst(e.target.value)}
          error={kit.error?.at('firstPh')}
        />
        <Field
          label="second read"
          unit="pH"
          inputMode="decimal"
          value={second}
          onChange={(e) => setSecond(e.target.value)}
          error={kit.error?.at('secondPh')}
        />
      </div>
      <Refusal message={save.error?.message} />
      <Button
        disabled={a === null || b === null || kit.isPending || save.isPending}
        onClick={() => {
          // What is refused stands at its field, or beneath.
          if (a !== null && b !== null) void keep(a, b).catch(() => undefined);
        }}
      >
        Save the average
      </Button>
    </section>
  );
}
