import { Link } from '@tanstack/react-router';
import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { dueQuery } from '../../api/guard';
import { useTanks } from '../../api/homes';
import { useHouse } from '../../api/house';
import type { House as HouseView, Tank } from '../../api/types';

import { buttonLook } from '../../parts/Button';
import { Skeleton } from '../../parts/Skeleton';
import { Waiting } from '../../parts/Waiting';
import { DUE_AT } from '../../frame/dueAt';
import { ROUTE } from '../../frame/places';
import { HouseRow } from './HouseRow';
import { headline, needsOf, type Need } from './houseWords';

/** What needs you first; the rest is one press away. */
const CARDS = 3;

/** House: what needs me, and how is each tank? */
export function House() {
  const house = useHouse();
  const tanks = useTanks();
  const error = house.error ?? tanks.error;
  if (!house.data || !tanks.data) {
    const retry = () => void Promise.all([house.refetch(), tanks.refetch()]);
    return error ? <Waiting error={error} retry={retry} /> : <Shape />;
  }
  return <Loaded house={house.data} tanks={tanks.data} />;
}

function Loaded({ house, tanks }: { house: HouseView; tanks: Tank[] }) {
  // Rows are computed one after the other, so that whatever is opened meanwhile waits for one of them at most.
  const [done, setDone] = useState(0);
  const homes = [...new Set(tanks.map((t) => t.homeId))];
  const due = useQueries({ queries: homes.map(dueQuery) });
  const known = due.every((d) => !d.isPending);
  const allDue = due.flatMap((d) => d.data ?? []);
  const needs = needsOf(house.tanks, tanks, allDue);

  return (
    <div className="grid gap-6">
      <section aria-labelledby="needs">
        <h1 id="needs" className="text-3xl font-bold" aria-live="polite">
          {known ? headline(needs) : <Skeleton className="h-9 w-80 max-w-full" />}
        </h1>
        <p className="pt-1 text-soft">
          {tanks.length} {tanks.length === 1 ? 'tank' : 'tanks'}, the most urgent first. pH of the
          last 24 hours.
        </p>
        {known ? <Needs needs={needs} /> : <NeedsShape />}
      </section>
      <ul aria-label="Tanks" className="border-t">
        {house.tanks.map((row, i) => {
          const tank = tanks.find((t) => t.id === row.tankId);
          return (
            tank && (
              <HouseRow
                key={row.tankId}
                row={row}
                house={house}
                tank={tank}
                due={known ? allDue.filter((d) => d.tankId === tank.id) : undefined}
                turn={i <= done}
                onDone={() => setDone((before) => Math.max(before, i + 1))}
              />
            )
          );
        })}
      </ul>
      <p className="flex flex-wrap gap-x-6 text-soft">
        <Link to="/begin" className={buttonLook('quiet')}>
          Add a tank
        </Link>
        <Link to="/settings" className={buttonLook('quiet')}>
          Settings
        </Link>
      </p>
    </div>
  );
}

function Needs({ needs }: { needs: readonly Need[] }) {
  if (needs.length === 0) return null;
  const rest = needs.slice(CARDS);
  return (
    <>
      <ul className="grid gap-x-6 gap-y-4 pt-4 md:grid-cols-3">
        {needs.slice(0, CARDS).map((need) => (
          <NeedCard key={need.key} need={need} />
        ))}
      </ul>
      {rest.length > 0 && (
        <details className="pt-3">
          <summary className="min-h-11 py-2 text-soft underline underline-offset-4">
            {rest.length} more
          </summary>
          <ul className="grid gap-x-6 gap-y-4 pt-2 md:grid-cols-3">
            {rest.map((need) => (
              <NeedCard key={need.key} need={need} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function NeedCard({ need }: { need: Need }) {
  const name = need.tank.description.name;
  return (
    <li
      className={`grid content-start gap-1 border-l-4 pl-4 ${need.weight === 'danger' ? 'border-danger' : 'border-alk'}`}
    >
      <p className="text-lg leading-snug font-bold">
        {need.weight === 'danger' && <span className="text-danger">■ Danger. </span>}
        {need.what}
      </p>
      <p className="text-soft">
        {[need.why, need.what.includes(name) ? '' : name].filter(Boolean).join(' ')}
      </p>
      <Link
        to={need.due ? DUE_AT[need.due.subject] : ROUTE.staircase}
        params={{ tankId: need.tank.id }}
        className={`${buttonLook('plain')} justify-self-start`}
      >
        {need.due ? 'Open' : 'Why?'}
      </Link>
    </li>
  );
}

function NeedsShape() {
  return (
    <div className="grid gap-6 pt-4 md:grid-cols-3" aria-hidden>
      {[0, 1, 2].map((i) => (
        <div key={i} className="grid gap-2 border-l-4 pl-4">
          <Skeleton className="h-6 w-4/5" />
          <Skeleton className="h-5 w-1/2" />
          <Skeleton className="h-11 w-24" />
        </div>
      ))}
    </div>
  );
}

function Shape() {
  return (
    <div className="grid gap-6" role="status">
      <span className="sr-only">Loading…</span>
      <Skeleton className="h-9 w-80 max-w-full" />
      <NeedsShape />
      {[0, 1, 2].map((i) => (
        <Skeleton key={i} className="h-20 w-full" />
      ))}
    </div>
  );
}
