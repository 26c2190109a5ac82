import type { OutageView } from '../../api/types';
import { useNow } from '../../parts/useNow';
import { urgent } from '../../frame/OutageBar';
import { clockTime } from '../../lib/time';
import { keptHomes, readKept, shown } from './outageLog';
import { since, span } from './outageTime';

/** For whoever is signed out in the middle of a night: the outage that this device keeps goes on. */
export function KeptOutages() {
  const running = keptHomes()
    .map((homeId) => shown(readKept(homeId)))
    .filter((view): view is OutageView => view !== null && !view.endedAt);
  return running.map((view) => <KeptOutage key={view.homeId} view={view} />);
}

function KeptOutage({ view }: { view: OutageView }) {
  const h = since(view, useNow());
  const { danger, next } = urgent(view, h);
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <section
      aria-label="Power cut"
      className="mx-auto grid max-w-5xl gap-1 border-l-8 border-danger px-5 py-3"
    >
      <p className="text-2xl font-bold">✕ No power for {span(h)}</p>
      <p>
        Since {clockTime(view.startedAt, here)}. {danger}
      </p>
      {next && <p>Next: {next}.</p>}
      <p className="text-soft">Sign in to see every step. This device keeps your log until then.</p>
    </section>
  );
}
