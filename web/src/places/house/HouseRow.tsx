import { Link } from '@tanstack/react-router';
import { useEffect, type ReactNode } from 'react';
import { useReadiness } from '../../api/guard';
import { useStaircase } from '../../api/log';
import { useOxygenMargin } from '../../api/twin';
import type { Due, House, HouseRow as Row, Tank } from '../../api/types';
import { LastDayDrawing } from '../../drawings/LastDayDrawing';
import { ROUTE } from '../../frame/places';
import { show } from '../../lib/measure';
import { shortTime } from '../../lib/time';
import { useSession } from '../../api/account';
import { Skeleton } from '../../parts/Skeleton';
import { useWidth } from '../../parts/useWidth';
import { LOW, withoutPower } from './houseWords';

/** One tank: its last day, its low, one sentence, oxygen tonight, hours without power, and what is due. */
export function HouseRow({
  row,
  house,
  tank,
  due,
  turn,
  onDone,
}: {
  row: Row;
  house: House;
  tank: Tank;
  due: readonly Due[] | undefined;
  /** Whether it may ask for what is computed of its tank. */
  turn: boolean;
  onDone: () => void;
}) {
  const [ref, width] = useWidth();
  const units = useSession().data?.units;
  const verdict = useStaircase(tank.id, undefined, undefined);
  const margin = useOxygenMargin(tank.id, turn);
  const settled = margin.isSuccess || margin.isError;
  useEffect(() => {
    if (settled) onDone();
  });
  const readiness = useReadiness(tank.homeId);
  const { name, netVolumeL, band } = tank.description;
  const tonight = margin.data?.answer.nights.find((n) => n.strain === 'AS_IT_IS');
  const nights = readiness.data?.tanks.find((t) => t.tankId === tank.id);
  const late = due?.filter((d) => d.late).length ?? 0;
  const params = { tankId: tank.id };
  return (
    <li className="grid grid-cols-2 items-center gap-x-6 gap-y-2 border-b py-3 md:grid-cols-[9rem_minmax(8rem,1fr)_6.5rem_11rem_5.5rem_6.5rem_4.5rem]">
      <div>
        <Link
          to={ROUTE.today}
          params={params}
          className="inline-flex min-h-11 items-center text-lg font-bold underline decoration-hairline underline-offset-4 hover:decoration-ink"
        >
          {name}
        </Link>
        <p className="text-sm text-soft">{units && show(netVolumeL, 'volume', units)}</p>
      </div>
      <div ref={ref} className="col-span-2 row-start-2 md:col-span-1 md:row-start-auto">
        {width > 0 && (
          <LastDayDrawing row={row} house={house} goal={band} zone={tank.zone} width={width} />
        )}
      </div>
      <Figure
        value={row.low ? row.low.ph.toFixed(2) : '—'}
        name={
          row.low ? `low ${shortTime(row.low.at, tank.zone, new Date(house.now))}` : 'no reading'
        }
      />
      <p className="leading-snug">
        {LOW[row.urgency]}{' '}
        <Later ready={verdict.data} failed={verdict.isError} className="h-5 w-full">
          {(v) => (
            <Link
              to={ROUTE.staircase}
              params={params}
              className="inline-flex min-h-11 items-center font-semibold underline decoration-hairline underline-offset-4"
            >
              {v.staircase.verdict.headline}
            </Link>
          )}
        </Later>
      </p>
      <Later ready={margin.data} failed={margin.isError} className="h-10 w-16">
        {() => (
          <Figure
            o2
            value={tonight ? tonight.lowestMgPerL.toFixed(1) : '—'}
            name="mg/L, lowest tonight"
          />
        )}
      </Later>
      <Later ready={readiness.data} failed={readiness.isError} className="h-10 w-16">
        {(r) => (
          <Figure
            value={nights ? withoutPower(nights, r.hoursLookedAhead) : '—'}
            name="without power, with kit"
          />
        )}
      </Later>
      <p className="text-sm">
        {due === undefined ? (
          <Skeleton className="h-5 w-12" />
        ) : late > 0 ? (
          <strong>{late} due</strong>
        ) : (
          <span className="text-soft">nothing due</span>
        )}
      </p>
    </li>
  );
}

function Figure({ value, name, o2 = false }: { value: string; name: string; o2?: boolean }) {
  return (
    <p className="leading-tight">
      <strong className={`block text-2xl ${o2 ? 'text-o2' : ''}`}>{value}</strong>
      <span className="text-sm text-soft">{name}</span>
    </p>
  );
}

/** What is computed follows; its place is kept until then. */
function Later<T>({
  ready,
  failed,
  className,
  children,
}: {
  ready: T | undefined;
  failed: boolean;
  className: string;
  children: (value: T) => ReactNode;
}) {
  if (ready !== undefined) return children(ready);
  return failed ? (
    <span className="text-sm text-soft">not available</span>
  ) : (
    <Skeleton className={className} />
  );
}
