import type { Schedule } from '../../../api/types';
import { Button } from '../../../parts/Button';
import type { Open } from './Editing';
import { windowWords } from './words';

/** The parts of the day, each named once. */
export function WindowList({ schedule, open }: { schedule: Schedule; open: (what: Open) => void }) {
  const used = (id: string) =>
    new Set(schedule.rules.filter((r) => r.window === id).map((r) => r.lane)).size;
  return (
    <section aria-labelledby="windows" className="grid gap-2 border-t border-hairline pt-4">
      <h2 id="windows" className="text-lg font-bold">
        Time windows
      </h2>
      <ul className="grid gap-x-10 md:grid-cols-2">
        {schedule.windows.map((window) => (
          <li
            key={window.id}
            className="flex flex-wrap items-baseline justify-between gap-x-4 border-t border-hairline py-1"
          >
            <span>
              <strong className="font-semibold">{window.name}</strong>{' '}
              <span className="text-soft">
                {windowWords(window)} · {lanes(used(window.id))}
              </span>
            </span>
            <Button
              look="quiet"
              aria-label={`Edit ${window.name}`}
              onClick={() => open({ what: 'window', window })}
            >
              Edit
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

const lanes = (n: number) => (n === 0 ? 'not used' : n === 1 ? 'one device' : `${n} devices`);
