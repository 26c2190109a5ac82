import { useState } from 'react';
import { useForgetLineNote, useNoteLine, usePlanLine, useTimeLine } from '../../api/doses';
import type { Line, LineNote, NewLineNote } from '../../api/types';
import { readNumber } from '../../lib/number';
import { localInput } from '../../lib/time';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useAtTank } from '../../TankContext';

const SAID: Record<LineNote['kind'] | 'PLAN' | 'TIMES', string> = {
  LEVEL: 'a level',
  FILLED: 'filled, up to',
  BUBBLES: 'bubbles in the line',
  CYLINDER: 'the pump run into a cylinder',
  CHANGED: 'something was changed',
  PLAN: 'another amount a day',
  TIMES: 'other times of the day',
};
type LineNoteIn = NonNullable<NewLineNote['readIn']>;
const KINDS = Object.keys(SAID) as (keyof typeof SAID)[];

/** One line of what was seen or done. */
export function LineNoteForm({ line }: { line: Line }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const note = useNoteLine(tank.id);
  const plan = usePlanLine(tank.id);
  const timed = useTimeLine(tank.id);
  const forget = useForgetLineNote(tank.id);
  const [first, setFirst] = useState(line.times?.first ?? '21:00');
  const [overH, setOverH] = useState(String(line.times?.overH ?? 24));
  const [kind, setKind] = useState<keyof typeof SAID>('LEVEL');
  const [value, setValue] = useState('');
  const [asked, setAsked] = useState('');
  const [words, setWords] = useState('');
  const [readIn, setReadIn] = useState<LineNoteIn>(
    line.areaCm2 !== undefined ? 'CM' : line.emptyG !== undefined ? 'G' : 'ML',
  );
  const [at, setAt] = useState(() => localInput(new Date(), tank.zone));
  const [missing, setMissing] = useState<string>();
  const units = [
    ...(line.areaCm2 === undefined ? [] : [{ value: 'CM', label: 'cm' }]),
    ...(line.emptyG === undefined ? [] : [{ value: 'G', label: 'g, with its vessel' }]),
    { value: 'ML', label: 'mL' },
  ];
  const levelled = kind === 'LEVEL' || kind === 'FILLED';
  const send = () => {
    const read = readNumber(value);
    const setTo = kind === 'CYLINDER' ? readNumber(asked) : undefined;
    const needed =
      levelled || kind === 'PLAN' || kind === 'CYLINDER' || (kind === 'TIMES' && value !== '');
    if (setTo === null || (needed && read === null && !(kind === 'FILLED' && value === ''))) {
      setMissing('A number, please.');
      return;
    }
    setMissing(undefined);
    const saved =
      kind === 'TIMES'
        ? timed
            .mutateAsync({
              id: line.id,
              times:
                read === null
                  ? undefined
                  : { perDay: Math.round(read), first, overH: readNumber(overH) ?? 24 },
            })
            .then(() => tell('Its times are changed: set the pump to them.'))
        : kind === 'PLAN'
          ? plan
              .mutateAsync({ id: line.id, at, mlPerDay: read ?? 0 })
              .then(() => tell('The plan is changed.'))
          : note
              .mutateAsync({
                id: line.id,
                at,
                kind,
                value: levelled || kind === 'CYLINDER' ? (read ?? undefined) : undefined,
                asked: setTo,
                readIn: levelled && read !== null ? readIn : undefined,
                note: kind === 'CHANGED' ? words : '',
              })
              .then(({ id }) =>
                tell('Noted.', () => void forget.mutateAsync({ id: line.id, noteId: id })),
              );
    saved
      .then(() => {
        setValue('');
        setAsked('');
        setWords('');
      })
      .catch(() => undefined);
  };
  const error = missing ?? note.error?.message ?? plan.error?.message ?? timed.error?.message;
  return (
    <form
      className="grid gap-3 border-t pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        send();
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="Note"
          value={kind}
          onChange={(e) => setKind(e.target.value as keyof typeof SAID)}
          options={KINDS.map((k) => ({ value: k, label: SAID[k] }))}
        />
        {levelled && (
          <>
            <Field
              label={kind === 'FILLED' ? 'To (empty: its brim)' : 'It holds'}
              inputMode="decimal"
              value={value}
              onChange={(e) => setValue(e.target.value)}
              className="w-36"
            />
            {units.length > 1 ? (
              <Choice
                label="read in"
                value={readIn}
                onChange={(e) => setReadIn(e.target.value as LineNoteIn)}
                options={units}
              />
            ) : (
              <span className="pb-2 text-soft">mL</span>
            )}
          </>
        )}
        {kind === 'CYLINDER' && (
          <>
            <Field
              label="Set to give"
              inputMode="decimal"
              unit="mL"
              value={asked}
              onChange={(e) => setAsked(e.target.value)}
              className="w-36"
            />
            <Field
              label="It gave"
              inputMode="decimal"
              unit="mL"
              value={value}
              onChange={(e) => setValue(e.target.value)}
              className="w-36"
            />
          </>
        )}
        {kind === 'PLAN' && (
          <Field
            label="From then on"
            inputMode="decimal"
            unit="mL a day"
            value={value}
            onChange={(e) => setValue(e.target.value)}
            className="w-48"
          />
        )}
        {kind === 'TIMES' && (
          <>
            <Field
              label="Doses a day (empty: drop by drop)"
              inputMode="numeric"
              value={value}
              onChange={(e) => setValue(e.target.value)}
              className="w-56"
            />
            <Field
              label="The first at"
              type="time"
              value={first}
              onChange={(e) => setFirst(e.target.value)}
            />
            <Field
              label="Spread over"
              inputMode="decimal"
              unit="h"
              value={overH}
              onChange={(e) => setOverH(e.target.value)}
              className="w-28"
            />
          </>
        )}
        {kind === 'CHANGED' && (
          <Field
            label="What (tape at the fitting, new tube, …)"
            value={words}
            maxLength={200}
            onChange={(e) => setWords(e.target.value)}
            className="w-72"
          />
        )}
        {kind !== 'TIMES' && (
          <Field
            label="at"
            type="datetime-local"
            value={at}
            onChange={(e) => setAt(e.target.value)}
          />
        )}
        <Button type="submit" disabled={note.isPending || plan.isPending || timed.isPending}>
          Note it
        </Button>
      </div>
      <Refusal message={error} />
    </form>
  );
}
