import { Link, useMatchRoute } from '@tanstack/react-router';
import type { OutageView, Tank } from '../api/types';
import { buttonLook } from '../parts/Button';
import { useNow } from '../parts/useNow';
import { dangerAhead, nextStep } from '../places/guard/outageLog';
import { hoursDown, since, span } from '../places/guard/outageTime';
import { useOutage } from '../places/guard/useOutage';
import { ROUTE } from './places';

const ASK_EVERY_MS = 60_000;

/** On every screen while the power is out: how long, who is in danger when, and the next step. */
export function OutageBar({ tank }: { tank: Tank }) {
  const { view, rehearsal } = useOutage(tank.homeId, ASK_EVERY_MS);
  const there = useMatchRoute()({ to: ROUTE.outage, fuzzy: true });
  if (!view || view.endedAt || there) return null;
  return <Running tank={tank} view={view} rehearsal={rehearsal} />;
}

function Running({ tank, view, rehearsal }: { tank: Tank; view: OutageView; rehearsal: boolean }) {
  const h = since(view, useNow());
  const { danger, next } = urgent(view, h);
  return (
    <section
      aria-label="Power cut"
      className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-l-8 border-b-hairline border-l-danger px-4 py-2 md:px-6"
    >
      <p className="text-lg font-semibold">
        {rehearsal ? 'Rehearsal:' : '✕'} No power for {span(h)}.{danger && ` ${danger}`}
        {next && <span className="block text-base font-normal">Next: {next}.</span>}
      </p>
      <Link to={ROUTE.outage} params={{ tankId: tank.id }} className={buttonLook('main')}>
        Open Outage
      </Link>
    </section>
  );
}

/** Of all tanks: who is in danger first, and the step that is due first. */
export function urgent(view: OutageView, h: number): { danger?: string; next?: string } {
  const gasping = view.tanks.find((t) => t.gasping);
  const ahead = view.tanks
    .filter((t) => !t.unlikely)
    .map((t) => ({ name: t.name, in: dangerAhead(t.course.points, view.lines.danger, h) }))
    .filter((t): t is { name: string; in: number } => t.in !== undefined)
    .sort((a, b) => a.in - b.in)[0];
  const danger = gasping
    ? `Animals gasp in ${gasping.name}. Aerate now.`
    : ahead &&
      (ahead.in > 0
        ? `${ahead.name}: ${hoursDown(ahead.in)} until oxygen may be dangerous.`
        : `${ahead.name} may be in danger. Aerate now.`);
  const due = view.tanks
    .map((t) => ({ name: t.name, step: nextStep(t.steps, h).due?.step }))
    .filter((t) => t.step !== undefined)
    .sort((a, b) => (a.step?.atH ?? 0) - (b.step?.atH ?? 0))[0];
  const next = due?.step && `${due.step.what}${view.tanks.length > 1 ? ` (${due.name})` : ''}`;
  return { danger: danger ?? undefined, next };
}
