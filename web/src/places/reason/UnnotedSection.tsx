import { useState } from 'react';
import type { UnnotedChange } from '../../api/types';
import { useDismiss, useUnnoted } from '../../api/unnoted';
import { DailySizeDrawing } from '../../drawings/DailySizeDrawing';
import { signed } from '../../lib/number';
import { plainDay } from '../../lib/time';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { NoteForm } from './NoteForm';
import { asWell, lookAt, shownSize, suggestedTitle, unitOf, unnotedHeadline } from './unnotedWords';

/** Changes that the log shows and nobody noted. */
export function UnnotedSection() {
  const { tank } = useAtTank();
  const unnoted = useUnnoted(tank.id);
  const all = unnoted.data?.changes ?? [];
  const open = all.filter((c) => !c.dismissed);
  const dismissed = all.filter((c) => c.dismissed);
  const left = unnoted.data ? unnoted.data.stretches - unnoted.data.searched : 0;
  if (unnoted.data?.stretches === 0) return null;
  return (
    <section aria-labelledby="unnoted" className="grid gap-4 border-t border-hairline pt-6">
      <h2 id="unnoted" className="text-xl font-bold">
        Changes missing from the log
      </h2>
      {unnoted.error && <Waiting error={unnoted.error} retry={() => void unnoted.refetch()} />}
      {!unnoted.error && (!unnoted.data || left > 0) && (
        <p role="status" className="text-soft">
          Searching
          {unnoted.data ? `: ${left} of ${unnoted.data.stretches} stretches left` : ''} …
        </p>
      )}
      {unnoted.data && unnoted.data.implausible > 0 && (
        <p className="max-w-prose">
          {unnoted.data.implausible} of {unnoted.data.stretches} stretches can’t be searched: no
          model fits them.
        </p>
      )}
      {unnoted.data && left === 0 && unnoted.data.implausible === 0 && open.length === 0 && (
        <p className="max-w-prose">No unlogged change found between the logged ones.</p>
      )}
      {open.map((c) => (
        <Change key={`${c.found.from} ${c.found.cause}`} change={c} />
      ))}
      {dismissed.length > 0 && <Dismissed changes={dismissed} />}
    </section>
  );
}

function Change({ change: { found } }: { change: UnnotedChange }) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  const [noting, setNoting] = useState(false);
  const dismiss = useDismiss(tank.id);
  const tell = useNotice();
  const headline = unnotedHeadline(found);
  const nothing = () =>
    dismiss
      .mutateAsync({ found, nothing: true })
      .then(() => tell('Dismissed.', () => dismiss.mutate({ found, nothing: false })))
      .catch((problem: unknown) =>
        tell(problem instanceof Error ? problem.message : String(problem)),
      );
  return (
    <article className="grid gap-3">
      <p className="max-w-prose text-2xl leading-snug font-semibold">
        {headline} Nothing is logged.
      </p>
      <figure ref={ref} className="grid gap-1">
        {width > 0 && (
          <DailySizeDrawing
            days={found.days.map((d) => ({ day: d.day, size: shownSize(found, d.size) }))}
            from={found.from}
            usual={shownSize(found, found.cause === 'LAMPS' || found.cause === 'LEVEL' ? 0 : 1)}
            says={`${headline} Each single day shows this.`}
            width={Math.min(width, 720)}
          />
        )}
        <figcaption className="text-sm text-soft">
          {unitOf(found)}, from each single day. The daily low changed by {signed(found.trough, 2)},
          the high by {signed(found.peak, 2)}
        </figcaption>
      </figure>
      <p className="max-w-prose">
        Check {lookAt(found)}. {asWell(found)}
      </p>
      {noting ? (
        <NoteForm
          suggested={suggestedTitle(found)}
          since={found.from}
          text={headline}
          close={() => setNoting(false)}
        />
      ) : (
        <div className="flex flex-wrap gap-3">
          <Button onClick={() => setNoting(true)}>Add to log</Button>
          <Button look="quiet" disabled={dismiss.isPending} onClick={() => void nothing()}>
            Dismiss
          </Button>
        </div>
      )}
    </article>
  );
}

function Dismissed({ changes }: { changes: readonly UnnotedChange[] }) {
  const { tank } = useAtTank();
  const dismiss = useDismiss(tank.id);
  return (
    <ul className="text-soft">
      {changes.map(({ found }) => (
        <li key={`${found.from} ${found.cause}`}>
          {plainDay(found.from)}: {suggestedTitle(found)}, dismissed{' '}
          <Button
            look="quiet"
            disabled={dismiss.isPending}
            onClick={() => dismiss.mutate({ found, nothing: false })}
          >
            Show again
          </Button>
        </li>
      ))}
    </ul>
  );
}
