import { getRouteApi, Link } from '@tanstack/react-router';
import { useEffect, useRef, useState, type SyntheticEvent } from 'react';
import { Problem } from '../../api/client';
import { useDeleteReadings, useSaveReadings } from '../../api/log';
import type { NewReadings } from '../../api/types';
import { Spike } from '../../frame/Spike';
import { useHelper } from '../../frame/useHelper';
import { useTyped } from '../../lib/kept';
import { readNumber } from '../../lib/number';
import { clockTime, localInput } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { useAtTank } from '../../TankContext';
import { ConflictSheet } from './ConflictSheet';
import { EntryRow, type Entry } from './EntryRow';
import { EVERYTHING, firstUnit, IN_THE_AIR, IN_THE_TANK, type Measurable } from './quantities';
import { ReadingList } from './ReadingList';
import { UnusualSheet, unusualOf } from './UnusualSheet';

const route = getRouteApi('/signed-in/tank/$tankId/add-to-log');

/** Read → Add to log: what was measured, and what is in the log already. */
export function AddToLog() {
  const { tank, units } = useAtTank();
  const helper = useHelper();
  const { measure, checked } = route.useSearch();
  const save = useSaveReadings(tank.id);
  const remove = useDeleteReadings(tank.id);
  const tell = useNotice();
  const [saved, setSaved] = useState<{ at: string } | null>(null);
  const [time, setTime] = useState<string | null>(null);
  const [entries, setEntries] = useTyped<Record<string, Entry>>(`enter-${tank.id}`, () =>
    Object.fromEntries(
      EVERYTHING.map((m) => [
        m.key,
        {
          text: '',
          unit: firstUnit(m, units),
          method: m.key === 'ph' && checked ? 'PROBE_CHECKED' : (m.methods[0] ?? 'ESTIMATE'),
        },
      ]),
    ),
  );
  const now = useNow();
  const shownTime = time ?? localInput(now, tank.zone);

  const filled = EVERYTHING.flatMap((m) => {
    const entry = entries[m.key];
    return entry && entry.text.trim() !== '' ? [{ m, entry, value: readNumber(entry.text) }] : [];
  });
  const unreadable = filled.some((f) => f.value === null);

  const values: NewReadings['values'] = filled.flatMap(({ m, entry, value }) =>
    value === null ? [] : [{ unit: entry.unit, method: entry.method, place: m.place, value }],
  );
  const submit = (at: string, replace: boolean, ask = !replace, meant = values) => {
    const body: NewReadings = { at, replace, ask, values: meant };
    save.mutate(body, {
      onSuccess: (readings) => {
        const before = entries;
        setEntries((all) =>
          Object.fromEntries(Object.entries(all).map(([k, e]) => [k, { ...e, text: '' }])),
        );
        setTime(null);
        const at = readings[0]?.at;
        setSaved(at ? { at } : null);
        tell(
          readings.length === 1 ? 'Reading saved.' : `${readings.length} readings saved.`,
          helper
            ? undefined
            : () => {
                remove.mutate(
                  readings.map((r) => r.id),
                  {
                    onSuccess: () => {
                      setEntries(before);
                      setSaved(null);
                      tell('Undone. The values are back in their fields.');
                    },
                  },
                );
              },
        );
      },
    });
  };

  const onSubmit = (e: SyntheticEvent) => {
    e.preventDefault();
    if (filled.length > 0 && !unreadable) submit(shownTime, false);
  };

  const problem = save.error;
  const unusual = unusualOf(problem);
  const errorOf = (m: Measurable) => {
    const i = filled.findIndex((f) => f.m.key === m.key);
    if (i < 0) return undefined;
    if (filled[i]?.value === null) return 'Enter a number.';
    return problem?.at(`values[${i}].value`) ?? problem?.at(`values[${i}].place`);
  };
  const rows = (list: readonly Measurable[]) =>
    list.map((m) => {
      const entry = entries[m.key];
      return (
        entry && (
          <EntryRow
            key={m.key}
            measurable={m}
            entry={entry}
            error={errorOf(m)}
            focus={measure !== undefined && m.feeds === measure}
            onChange={(changed) => {
              setEntries((all) => ({ ...all, [m.key]: changed }));
              if (problem) save.reset();
            }}
          />
        )
      );
    });

  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <form
        onSubmit={onSubmit}
        onKeyDown={(e) => {
          if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) onSubmit(e);
        }}
        noValidate
      >
        <Spike />
        <div className="flex flex-wrap items-end justify-between gap-4 pb-2">
          <div>
            <h1 className="text-xl font-bold">Add what you measured</h1>
            {!helper && (
              <Link
                to="/tank/$tankId/bring"
                params={{ tankId: tank.id }}
                className={buttonLook('quiet')}
              >
                or import a logger’s file
              </Link>
            )}
          </div>
          <div className="flex items-end gap-2">
            <When
              label={time === null ? 'taken now' : 'taken at'}
              kind="moment"
              value={shownTime}
              max={localInput(new Date(now.getTime() + 60_000), tank.zone)}
              onChange={(e) => setTime(e.target.value || null)}
              error={problem?.at('at')}
            />
            {time !== null && (
              <Button look="quiet" onClick={() => setTime(null)}>
                now
              </Button>
            )}
          </div>
        </div>
        <TwiceHour problem={problem} choose={(at) => submit(at, false)} />
        {rows(IN_THE_TANK)}
        <h2 className="pt-5 pb-1 font-bold">In the air</h2>
        {rows(IN_THE_AIR)}
        {problem && problem.errors.length === 0 && problem.status !== 409 && (
          <p role="alert" className="pt-3 font-semibold">
            ✕ {problem.message}
          </p>
        )}
        <div className="sticky bottom-14 mt-4 flex items-center gap-4 border-t bg-paper py-3 md:bottom-0">
          <Button
            look="main"
            type="submit"
            className="flex-1 md:flex-none md:px-10"
            disabled={filled.length === 0 || unreadable || save.isPending}
          >
            {filled.length > 1 ? `Save ${filled.length} readings` : 'Save'}
          </Button>
          {saved && filled.length === 0 && (
            <Link
              to="/tank/$tankId/staircase"
              params={{ tankId: tank.id }}
              search={{ at: saved.at }}
              className="underline underline-offset-4"
            >
              Show the staircase at {clockTime(saved.at, tank.zone)}
            </Link>
          )}
        </div>
      </form>
      <ReadingList />
      {unusual && (
        <UnusualSheet
          unusual={unusual}
          values={values}
          save={() => submit(shownTime, false, false)}
          mend={(index, unit) => {
            const key = filled[index]?.m.key;
            const entry = key === undefined ? undefined : entries[key];
            if (key === undefined || !entry) return;
            setEntries((all) => ({ ...all, [key]: { ...entry, unit } }));
            submit(
              shownTime,
              false,
              true,
              values.map((v, i) => (i === index ? { ...v, unit } : v)),
            );
          }}
          close={() => save.reset()}
        />
      )}
      {problem?.status === 409 && !unusual && (
        <ConflictSheet
          problem={problem}
          replace={() => submit(shownTime, true)}
          close={() => save.reset()}
        />
      )}
    </div>
  );
}

/** The hour that a clock change repeats: the server names both, the keeper says which. */
function TwiceHour({ problem, choose }: { problem: Problem | null; choose: (at: string) => void }) {
  const allowed = problem?.errors.find((e) => e.field === 'at')?.allowed ?? '';
  const both = allowed.match(/\d{4}-\d\d-\d\dT\d\d:\d\d[+-]\d\d:\d\d/g) ?? [];
  if (both.length !== 2) return null;
  return (
    <div className="flex gap-3 pb-3">
      {both.map((at, i) => (
        <Button key={at} onClick={() => choose(at)}>
          {i === 0 ? 'first (before the clock change)' : 'second (after the clock change)'}
        </Button>
      ))}
    </div>
  );
}

/** The present minute. */
function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  const timer = useRef<number>(undefined);
  useEffect(() => {
    timer.current = window.setInterval(() => setNow(new Date()), 15_000);
    return () => window.clearInterval(timer.current);
  }, []);
  return now;
}
