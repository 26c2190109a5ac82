import { useDropSet, useKeepSet, useKeptSets } from '../../../api/twin';
import type { PutMeasure } from '../../../api/types';
import { words } from '../../../lib/checks';
import { useTypedForm } from '../../../lib/useTypedForm';
import { z } from '../../../lib/zod';
import { Button } from '../../../parts/Button';
import { Field } from '../../../parts/Field';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';
import type { NamedSet } from './sets';

const schema = z.object({ name: words('Enter a name for the set.', 60) });

/** Sets under a name, to come back to; the address of this page holds what is on the bench now. */
export function Kept({ current, take }: { current: NamedSet; take: (put: PutMeasure[]) => void }) {
  const { tank } = useAtTank();
  const kept = useKeptSets(tank.id).data ?? [];
  const keep = useKeepSet(tank.id);
  const drop = useDropSet(tank.id);
  const tell = useNotice();
  const { form, field, refuse, refusal } = useTypedForm(schema, { name: '' });
  const changed = current.put.length > 0;
  const save = form.handleSubmit(({ name }) =>
    keep.mutate(
      { name, measures: current.put },
      {
        onSuccess: () => {
          form.reset();
          tell('Saved.');
        },
        onError: refuse,
      },
    ),
  );
  if (!changed && kept.length === 0) return null;
  return (
    <section aria-labelledby="kept" className="pt-4">
      <h2 id="kept" className="font-bold">
        Saved sets
      </h2>
      <ul>
        {kept.map((set) => (
          <li key={set.id} className="flex items-center justify-between gap-2 border-b">
            <Button look="quiet" className="text-left text-ink" onClick={() => take(set.measures)}>
              {set.name}
            </Button>
            <Button
              look="quiet"
              aria-label={`Remove ${set.name}`}
              onClick={() =>
                drop.mutate(set.id, {
                  onSuccess: () =>
                    tell(`${set.name} removed.`, () =>
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
      <Refusal message={refusal} />
      {changed && (
        <form onSubmit={(e) => void save(e)} noValidate className="flex items-start gap-2 pt-2">
          <Field label="Save this set as" maxLength={60} {...field('name')} />
          <Button type="submit" className="mt-6" disabled={keep.isPending}>
            Save
          </Button>
        </form>
      )}
    </section>
  );
}
