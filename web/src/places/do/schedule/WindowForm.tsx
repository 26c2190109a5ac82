import { useState } from 'react';
import type { LaneWindow, Schedule, WindowEdge } from '../../../api/types';
import { readNumber } from '../../../lib/number';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { When } from '../../../parts/When';
import { Refusal } from '../../../parts/Refusal';
import { Sheet } from '../../../parts/Sheet';
import { Tick } from '../../../parts/Tick';
import { freshId, weekendApart, withoutWindow, withWindow } from './changes';
import { WEEKDAYS, type Weekday } from './words';

type By = 'clock' | 'ON' | 'OFF';

interface EdgeDraft {
  by: By;
  time: string;
  minutes: string;
}

const edgeDraft = (edge: WindowEdge): EdgeDraft => ({
  by: edge.light ?? 'clock',
  time: edge.time ?? '12:00',
  minutes: String(edge.minutes ?? 0),
});

function readEdge(draft: EdgeDraft): WindowEdge | string {
  if (draft.by === 'clock') {
    return draft.time === '' ? 'Enter start and end as times such as 19:00.' : { time: draft.time };
  }
  const minutes = readNumber(draft.minutes);
  return minutes === null || !Number.isInteger(minutes) || Math.abs(minutes) > 720
    ? 'Enter −720 to 720 minutes.'
    : { light: draft.by, minutes };
}

/** A part of the day, named once; every lane that uses it follows. */
export function WindowForm({
  window,
  schedule,
  change,
  close,
}: {
  /** Undefined for a new one. */
  window?: LaneWindow;
  schedule: Schedule;
  change: (schedule: Schedule) => void;
  close: () => void;
}) {
  const [name, setName] = useState(window?.name ?? '');
  const [allDay, setAllDay] = useState(window?.allDay ?? false);
  const [from, setFrom] = useState(edgeDraft(window?.from ?? { time: '19:00' }));
  const [until, setUntil] = useState(edgeDraft(window?.until ?? { time: '20:00' }));
  const [days, setDays] = useState<readonly Weekday[]>(
    window?.days ?? WEEKDAYS.map((d) => d.value),
  );
  const [season, setSeason] = useState(window?.seasonFrom !== undefined);
  const [first, setFirst] = useState(window?.seasonFrom ?? '11-01');
  const [last, setLast] = useState(window?.seasonUntil ?? '03-31');
  const [problem, setProblem] = useState<string>();
  const uses = schedule.rules.filter((r) => r.window === window?.id).length;
  const read = (): LaneWindow | string => {
    const begins = readEdge(from);
    const ends = readEdge(until);
    if (name.trim() === '') return 'Enter a name, such as bubble hour.';
    if (typeof begins === 'string') return begins;
    if (typeof ends === 'string') return ends;
    if (!allDay && JSON.stringify(begins) === JSON.stringify(ends))
      return 'Start and end are the same. For a whole day, tick “from midnight to midnight”.';
    if (days.length === 0) return 'Choose at least one day of the week.';
    return {
      id: window?.id ?? freshId(name, schedule.windows),
      name: name.trim(),
      allDay,
      from: begins,
      until: ends,
      days: days.length === WEEKDAYS.length ? undefined : [...days],
      seasonFrom: season ? first : undefined,
      seasonUntil: season ? last : undefined,
    };
  };
  const save = () => {
    const made = read();
    if (typeof made === 'string') {
      setProblem(made);
      return;
    }
    change(withWindow(schedule, made));
    close();
  };
  return (
    <Sheet
      open
      onOpenChange={close}
      title={window ? `“${window.name}”` : 'Add a time window'}
      about="A part of the day that several devices can share. Changes here apply to all of them."
    >
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        <Field label="Name" maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
        <Tick checked={allDay} onChange={(e) => setAllDay(e.target.checked)}>
          from midnight to midnight
        </Tick>
        {!allDay && (
          <>
            <EdgeFields label="Begins" value={from} onChange={setFrom} />
            <EdgeFields label="Ends" value={until} onChange={setUntil} />
          </>
        )}
        <fieldset className="flex flex-wrap gap-x-4">
          <legend className="text-sm text-soft">On</legend>
          {WEEKDAYS.map((d) => (
            <Tick
              key={d.value}
              checked={days.includes(d.value)}
              onChange={(e) =>
                setDays(e.target.checked ? [...days, d.value] : days.filter((x) => x !== d.value))
              }
            >
              {d.label}
            </Tick>
          ))}
        </fieldset>
        <Tick checked={season} onChange={(e) => setSeason(e.target.checked)}>
          only in a season
        </Tick>
        {season && (
          <div className="flex flex-wrap gap-3">
            <Field
              label="From, month and day"
              className="w-40"
              placeholder="11-01"
              value={first}
              onChange={(e) => setFirst(e.target.value)}
            />
            <Field
              label="To, month and day"
              className="w-40"
              placeholder="03-31"
              value={last}
              onChange={(e) => setLast(e.target.value)}
            />
          </div>
        )}
        <Refusal message={problem} />
        <div className="flex flex-wrap items-center gap-3">
          <Button look="main" type="submit">
            {window ? 'Save' : 'Add'}
          </Button>
          {window && window.days === undefined && (
            <Button
              look="quiet"
              onClick={() => {
                change(weekendApart(schedule, window.id));
                close();
              }}
            >
              Copy for weekends
            </Button>
          )}
          {window && (
            <Button
              look="quiet"
              onClick={() => {
                change(withoutWindow(schedule, window.id));
                close();
              }}
            >
              Remove{uses > 0 && ` with its ${uses === 1 ? 'rule' : `${uses} rules`}`}
            </Button>
          )}
        </div>
      </form>
    </Sheet>
  );
}

function EdgeFields({
  label,
  value,
  onChange,
}: {
  label: string;
  value: EdgeDraft;
  onChange: (value: EdgeDraft) => void;
}) {
  return (
    <div className="flex flex-wrap gap-3">
      <Choice
        label={label}
        className="w-52"
        value={value.by}
        options={[
          { value: 'clock', label: 'by the clock' },
          { value: 'ON', label: 'with lamps-on' },
          { value: 'OFF', label: 'with lamps-off' },
        ]}
        onChange={(e) => onChange({ ...value, by: e.target.value as By })}
      />
      {value.by === 'clock' ? (
        <When
          label={`${label} at`}
          kind="time"
          className="w-40"
          value={value.time}
          onChange={(e) => onChange({ ...value, time: e.target.value })}
        />
      ) : (
        <Field
          label={`${label} minutes after`}
          hint="negative: before"
          unit="min"
          className="w-44"
          value={value.minutes}
          onChange={(e) => onChange({ ...value, minutes: e.target.value })}
        />
      )}
    </div>
  );
}
