import { useState, type SubmitEvent } from 'react';
import { useDropSet, useKeepSet, useKeptSets } from '../../../api/hooks';
import type { PutMeasure } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { Field } from '../../../parts/Field';
import { useNotice } from '../../../parts/Notices';
import { useAtTank } from '../../../TankContext';
import type { NamedSet } from './sets';

/** Sets under a name, to come back to; the address of this page holds what is on the bench now. */
export function Kept({ current, take }: { current: NamedSet; take: (put: PutMeasure[]) => void }) {
  const { tank } = useAtTank();
  const kept = useKeptSets(tank.id).data ?? [];
  const keep = useKeepSet(tank.id);
  const drop = useDropSet(tank.id);
  const tell = useNotice();
  const [name, setName] = useState('');
  const changed = current.put.length > 0;
  const save = (e: SubmitEvent) => {
    e.preventDefault();
    keep.mutate(
      { name: name.trim(), measures: current.put },
      {
        onSuccess: () => {
          setName('');
          tell('Kept.');
        },
      },
    );
  };
  if (!changed && kept.length === 0) return null;
  return (
    <section aria-labelledby="kept" className="pt-4">
      <h2 id="kept" className="font-bold">
        Kept sets
      </h2>
      <ul>
        {kept.map((set) => (
          <li key={set.id} className="flex items-center justify-between gap-2 border-b">
            <Button look="quiet" className="text-left text-ink" onClick={() => take(set.measures)}>
              {set.name}
            </Button>
            <Button
              look="quiet"
              aria-label={`Forget ${set.name}`}
              onClick={() =>
                drop.mutate(set.id, {
                  onSuccess: () =>
                    tell(`${set.name} forgotten.`, () =>
                      keep.mutate({ name: set.name, measures: set.measures }),
                    ),
                })
              }
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
      {changed && (
        <form onSubmit={save} className="flex items-end gap-2 pt-2">
          <Field
            label="Keep this set as"
            value={name}
            maxLength={60}
            onChange={(e) => setName(e.target.value)}
            error={keep.error?.message}
          />
          <Button type="submit" disabled={name.trim() === '' || keep.isPending}>
            Keep
          </Button>
        </form>
      )}
    </section>
  );
}
