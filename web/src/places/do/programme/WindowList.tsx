import { useState } from 'react';
import type { LaneWindow, Programme } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { WindowForm } from './WindowForm';
import { windowWords } from './words';

/** The parts of the day, each named once. */
export function WindowList({
  programme,
  change,
}: {
  programme: Programme;
  change: (programme: Programme) => void;
}) {
  const [open, setOpen] = useState<LaneWindow | 'new'>();
  const used = (id: string) =>
    new Set(programme.rules.filter((r) => r.window === id).map((r) => r.lane)).size;
  return (
    <section aria-labelledby="windows" className="grid gap-2 border-t border-hairline pt-4">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 id="windows" className="text-lg font-bold">
          Windows, each named once
        </h2>
        <Button onClick={() => setOpen('new')}>New window</Button>
      </div>
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
              onClick={() => setOpen(window)}
            >
              change
            </Button>
          </li>
        ))}
      </ul>
      {open !== undefined && (
        <WindowForm
          window={open === 'new' ? undefined : open}
          programme={programme}
          change={change}
          close={() => setOpen(undefined)}
        />
      )}
    </section>
  );
}

const lanes = (n: number) => (n === 0 ? 'used by no lane' : n === 1 ? 'one lane' : `${n} lanes`);
