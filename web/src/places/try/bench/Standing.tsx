import { asNoted, useEditEvent } from '../../../api/events';
import type { TankEvent } from '../../../api/types';
import { dayAndTime, localInput } from '../../../lib/time';
import { Button } from '../../../parts/Button';
import { useNotice } from '../../../parts/Notices';
import { useAtTank } from '../../../TankContext';

/** What was done and is still on the tank: “current setup” is with it. */
export function Standing({
  events,
  without,
  toggle,
}: {
  events: readonly TankEvent[];
  /** Those that are tried without. */
  without: readonly string[];
  toggle: (id: string) => void;
}) {
  const { tank } = useAtTank();
  const edit = useEditEvent(tank.id);
  const tell = useNotice();
  if (events.length === 0) return null;
  const end = (event: TankEvent) => {
    if (without.includes(event.id)) toggle(event.id);
    edit.mutate(
      {
        id: event.id,
        version: event.version,
        event: { ...asNoted(event), until: localInput(new Date(), tank.zone) },
      },
      {
        onSuccess: (ended) =>
          tell(`“${event.title}” ended.`, () =>
            edit.mutate({ id: event.id, version: ended.version, event: asNoted(event) }),
          ),
        onError: (problem) => tell(problem.message),
      },
    );
  };
  return (
    <div className="border-t pt-3">
      <h2 className="font-bold">Active changes</h2>
      <ul>
        {events.map((event) => (
          <li key={event.id} className="border-b py-1">
            <p>
              {event.title}{' '}
              <span className="text-soft">
                {event.did.join(', ')}, since {dayAndTime(event.at, tank.zone)}
              </span>
            </p>
            <Button
              look="quiet"
              aria-pressed={without.includes(event.id)}
              aria-label={`Try without “${event.title}”`}
              onClick={() => toggle(event.id)}
            >
              {without.includes(event.id) ? '✓ tried without' : 'Try without'}
            </Button>
            <Button
              look="quiet"
              aria-label={`“${event.title}” removed`}
              disabled={edit.isPending}
              onClick={() => end(event)}
            >
              I removed this
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
