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
        What nobody noted
      </h2>
      {unnoted.error && <Waiting error={unnoted.error} retry={() => void unnoted.refetch()} />}
      {!unnoted.error && (!unnoted.data || left > 0) && (
        <p role="status" className="text-soft">
          Looking for it
          {unnoted.data ? `: ${left} of ${unnoted.data.stretches} stretches of the log left` : ''} …
        </p>
      )}
      {unnoted.data && unnoted.data.implausible > 0 && (
        <p className="max-w-prose">
          In {unnoted.data.implausible} of {unnoted.data.stretches} stretches of the log nothing can
          be found: no plausible tank is behind them.
        </p>
      )}
      {unnoted.data && left === 0 && unnoted.data.implausible === 0 && open.length === 0 && (
        <p className="max-w-prose">
          Between the changes that are noted, each day differs from the next as it always did.
        </p>
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
      .then(() => tell('It is nothing, then.', () => dismiss.mutate({ found, nothing: false })))
      .catch((problem: unknown) =>
        tell(problem instanceof Error ? problem.message : String(problem)),
      );
  return (
    <article className="grid gap-3">
      <p className="max-w-prose text-2xl leading-snug font-semibold">
        {headline} Nothing is noted.
      </p>
      <figure ref={ref} className="grid gap-1">
        {width > 0 && (
          <DailySizeDrawing
            days={found.days.map((d) => ({ day: d.day, size: shownSize(found, d.size) }))}
            from={found.from}
            usual={shownSize(found, found.cause === 'LAMPS' || found.cause === 'LEVEL' ? 0 : 1)}
            says={`${headline} Each day on its own shows it.`}
            width={Math.min(width, 720)}
          />
        )}
        <figcaption className="text-sm text-soft">
          {unitOf(found)}, as each day shows it alone; with it the trough moved{' '}
          {signed(found.trough, 2)}, the peak {signed(found.peak, 2)}
        </figcaption>
      </figure>
      <p className="max-w-prose">
        Look at {lookAt(found)}. {asWell(found)}
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
          <Button onClick={() => setNoting(true)}>Note it</Button>
          <Button look="quiet" disabled={dismiss.isPending} onClick={() => void nothing()}>
            it is nothing
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
          {plainDay(found.from)}: {suggestedTitle(found)}, you said it is nothing{' '}
          <Button
            look="quiet"
            disabled={dismiss.isPending}
            onClick={() => dismiss.mutate({ found, nothing: false })}
          >
            look again
          </Button>
        </li>
      ))}
    </ul>
  );
}
