import { useState } from 'react';
import { useBetween, type TwoWindows } from '../../api/effects';
import type { EffectCard } from '../../api/types';
import type { MarkedDays } from '../../drawings/HistoryDrawing';
import { localDay, plainDay, shiftDay, startOfDay } from '../../lib/time';
import { When } from '../../parts/When';
import { useLater } from '../../parts/useLater';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { what } from '../reason/effectWords';
import { WhatCameOfIt } from '../reason/WhatCameOfIt';

/** Local days, both ends included; empty where none is chosen yet. */
interface Days {
  from: string;
  until: string;
}

const NONE: Days = { from: '', until: '' };
const chosen = (days: Days) => days.from !== '' && days.until !== '';

/** Two stretches of days that are drawn over the log, or typed. */
export function useTwoWindows(zone: string) {
  const [one, setOne] = useState(NONE);
  const [other, setOther] = useState(NONE);
  const [drawn, setDrawn] = useState<{ from: number; to: number } | null>(null);
  const days = (from: number, to: number): Days => ({
    from: localDay(Math.min(from, to), zone),
    until: localDay(Math.max(from, to), zone),
  });
  const marked = (name: string, d: Days): MarkedDays[] =>
    chosen(d)
      ? [{ name, from: startOfDay(d.from, zone), to: startOfDay(shiftDay(d.until, 1), zone) }]
      : [];
  return {
    one,
    other,
    setOne,
    setOther,
    begin: (at: number) => setDrawn({ from: at, to: at }),
    draw: (at: number) => setDrawn((d) => d && { ...d, to: at }),
    /** The first stretch is the one before until both are there; then it begins anew. */
    end: () => {
      if (!drawn) return;
      setDrawn(null);
      const found = days(drawn.from, drawn.to);
      if (!chosen(one) || chosen(other)) {
        setOne(found);
        setOther(NONE);
      } else {
        setOther(found);
      }
    },
    marked: [
      ...marked('one', one),
      ...marked('other', other),
      ...(drawn ? marked('drawn', days(drawn.from, drawn.to)) : []),
    ],
  };
}

/** Any days beside any other ones. */
export function CompareDays({ windows }: { windows: ReturnType<typeof useTwoWindows> }) {
  const { tank } = useAtTank();
  const { setOne, setOther } = windows;
  // A date that is being typed asks for nothing.
  const one = useLater(windows.one);
  const other = useLater(windows.other);
  const swapped = one.from > other.from;
  const [first, second] = swapped ? [other, one] : [one, other];
  const asked: TwoWindows | undefined =
    chosen(one) && chosen(other)
      ? { from: first.from, until: first.until, after: second.from, end: second.until }
      : undefined;
  const between = useBetween(tank.id, asked);
  return (
    <section aria-label="Compare days" className="grid gap-4 border-t pt-4">
      <p className="max-w-prose">
        Drag over one stretch of days, then over another, or type the dates. Whole days, at most 31
        each.
      </p>
      <div className="flex flex-wrap gap-x-8 gap-y-3">
        <DayFields name="First stretch" days={windows.one} set={setOne} />
        <DayFields name="Second stretch" days={windows.other} set={setOther} />
      </div>
      {asked && between.isFetching && !between.data && (
        <p role="status" className="text-soft">
          Comparing. The model runs the old setup through the later days…
        </p>
      )}
      {asked && between.error && (
        <Waiting error={between.error} retry={() => void between.refetch()} />
      )}
      {asked && between.data && (
        <>
          <WhatCameOfIt
            card={between.data}
            heading={`${days(first)} and ${days(second)}`}
            about={sides(between.data)}
            settled=""
          />
          <p className="max-w-prose">{changed(between.data)}</p>
        </>
      )}
    </section>
  );
}

function DayFields({ name, days, set }: { name: string; days: Days; set: (days: Days) => void }) {
  return (
    <fieldset className="flex flex-wrap items-end gap-3">
      <legend className="font-bold">{name}</legend>
      <When
        label="from"
        kind="date"
        value={days.from}
        onChange={(e) => set({ ...days, from: e.target.value })}
      />
      <When
        label="to (included)"
        kind="date"
        value={days.until}
        onChange={(e) => set({ ...days, until: e.target.value })}
      />
    </fieldset>
  );
}

const days = ({ from, until }: Days) =>
  from === until ? plainDay(from) : `${plainDay(from)} to ${plainDay(until)}`;

const sides = ({ found }: EffectCard) =>
  found
    ? `${found.effect.daysBefore.length} and ${found.effect.daysAfter.length} whole days counted`
    : 'no whole days on one side';

const changed = ({ changes }: EffectCard) =>
  changes.length === 0
    ? 'No change to the tank is logged between them.'
    : `Between them: ${changes.map(what).join('; ')}. The difference belongs to all of these together.`;
