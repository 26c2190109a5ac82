import type { Programme } from '../../../api/types';
import { Button } from '../../../parts/Button';
import type { Open } from './Editing';
import { windowWords } from './words';

/** The parts of the day, each named once. */
export function WindowList({
  programme,
  open,
}: {
  programme: Programme;
  open: (what: Open) => void;
}) {
  const used = (id: string) =>
    new Set(programme.rules.filter((r) => r.window === id).map((r) => r.lane)).size;
  return (
    <section aria-labelledby="windows" className="grid gap-2 border-t border-hairline pt-4">
      <h2 id="windows" className="text-lg font-bold">
        Windows, each named once
      </h2>
      <ul className="grid gap-x-10 md:grid-cols-2">
        {programme.windows.map((window) => (
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
              aria-label={`change ${window.name}`}
              onClick={() => open({ what: 'window', window })}
            >
              change
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

const lanes = (n: number) => (n === 0 ? 'used by no lane' : n === 1 ? 'one lane' : `${n} lanes`);
