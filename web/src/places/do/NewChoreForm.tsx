import { useState } from 'react';
import { useAddChore, useEndChore } from '../../api/upkeep';
import type { ChoreKind } from '../../api/types';
import { useTyped } from '../../lib/kept';
import { readNumber } from '../../lib/number';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useAtTank } from '../../TankContext';
import { span, taskTitle } from './upkeepWords';

/** What fits this tank and is not looked after yet. */
export function NewChoreForm({ more, done }: { more: readonly ChoreKind[]; done: () => void }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const add = useAddChore(tank.id);
  const end = useEndChore(tank.id);
  const [chosen, setChosen] = useState<string>();
  const [name, setName] = useTyped(`new-chore-${tank.id}-name`, () => '');
  const [days, setDays] = useTyped(`new-chore-${tank.id}-days`, () => '');
  const [last, setLast] = useTyped(`new-chore-${tank.id}-last`, () => '');
  const kind = more.find((k) => k.chore === chosen) ?? more[0];
  if (!kind) return null;
  const own = kind.chore === 'OWN';
  const every = readNumber(days);
  const take = () =>
    void add
      .mutateAsync({
        chore: kind.chore,
        name,
        days: own ? (every ?? undefined) : undefined,
        lastDone: last === '' ? undefined : last,
      })
      .then((kept) => {
        setName('');
        setDays('');
        setLast('');
        done();
        tell('Task added.', () => end.mutate(kept.id));
      })
      .catch(() => undefined);
  return (
    <div className="grid gap-4">
      <Choice
        label="What"
        value={kind.chore}
        options={more.map((k) => ({
          value: k.chore,
          label:
            k.chore === 'OWN'
              ? taskTitle({ kind: k, name: '' })
              : `${taskTitle({ kind: k, name: '' })}, every ${span(k.days)}`,
        }))}
        onChange={(e) => setChosen(e.target.value)}
      />
      <Field
        label={own ? 'Task' : 'Which one, or who (if several)'}
        maxLength={80}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      {own && (
        <Field
          label="Every"
          unit="days"
          inputMode="decimal"
          className="w-32"
          value={days}
          error={days.trim() !== '' && every === null ? 'Enter a number.' : undefined}
          onChange={(e) => setDays(e.target.value)}
        />
      )}
      <When
        label="Last done (empty: unknown)"
        kind="moment"
        value={last}
        onChange={(e) => setLast(e.target.value)}
      />
      <Button
        look="main"
        className="justify-self-start"
        onClick={take}
        disabled={add.isPending || (own && (name.trim() === '' || every === null))}
      >
        Add
      </Button>
      <Refusal message={add.error?.message} />
    </div>
  );
}
