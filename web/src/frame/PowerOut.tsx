import { Link, useMatchRoute } from '@tanstack/react-router';
import type { Tank } from '../api/types';
import { useOutage } from '../places/guard/useOutage';
import { ROUTE } from './places';

/** One tap from everywhere; during an outage its own bar stands there instead. */
export function PowerOut({ tank }: { tank: Tank }) {
  const { view } = useOutage(tank.homeId, 60_000);
  const there = useMatchRoute()({ to: ROUTE.outage, fuzzy: true });
  if (there || (view && !view.endedAt)) return null;
  return (
    <Link
      to={ROUTE.outage}
      params={{ tankId: tank.id }}
      className="ml-auto inline-flex min-h-11 shrink-0 items-center rounded-sm border border-danger/60 px-3 font-semibold text-danger hover:border-danger"
    >
      Power is out
    </Link>
  );
}
