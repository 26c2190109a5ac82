import { useRemoved, useUndoRemove } from '../../api/homes';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';

const KIND = { TANK: 'tank', ROOM: 'room', HOME: 'home' } as const;
const HOUR_MS = 3_600_000;

/** What was removed within the last day, and how to bring it back. */
export function RemovedList({ now }: { now: Date }) {
  const removed = useRemoved();
  const undo = useUndoRemove();
  const tell = useNotice();
  const things = removed.data ?? [];
  if (things.length === 0) return <Refusal message={removed.error?.message} />;
  return (
    <section aria-labelledby="removed" className="border-t pt-5 first:border-t-0 first:pt-0">
      <h2 id="removed" className="text-lg font-bold">
        Removed
      </h2>
      <ul>
        {things.map((thing) => (
          <li key={thing.id} className="flex flex-wrap items-center gap-x-4">
            <span>
              {thing.name}, {KIND[thing.kind]}{' '}
              <span className="text-soft">{left(Date.parse(thing.until) - now.getTime())}</span>
            </span>
            <Button
              look="quiet"
              disabled={undo.isPending}
              onClick={() =>
                undo.mutate(thing.id, { onSuccess: () => tell(`${thing.name} restored.`) })
              }
            >
              Undo
            </Button>
          </li>
        ))}
      </ul>
      <Refusal message={undo.error?.message} />
    </section>
  );
}

/** Rounded down: nobody comes back too late by it. */
function left(ms: number): string {
  const hours = Math.floor(ms / HOUR_MS);
  return hours < 1
    ? 'deleted within the hour'
    : `deleted in ${hours} ${hours === 1 ? 'hour' : 'hours'}`;
}
