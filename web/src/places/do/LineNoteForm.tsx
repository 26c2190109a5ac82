import { useMemo, useState } from 'react';
import {
  useForgetLineNote,
  useNoteLine,
  usePlaceLine,
  usePlanLine,
  useTimeLine,
} from '../../api/dosing';
import type { Line, LineNote, NewLineNote } from '../../api/types';
import { useTyped } from '../../lib/kept';
import { readNumber } from '../../lib/number';
import { localInput } from '../../lib/time';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useLater } from '../../parts/useLater';
import { useAtTank } from '../../TankContext';
import { plannedAt } from './doseWords';
import { asPlanned } from './stepUp';
import { StepUp } from './StepUp';

const SAID: Record<LineNote['kind'] | 'PLAN' | 'TIMES' | 'PLACE', string> = {
  LEVEL: 'a level',
  FILLED: 'filled up to',
  BUBBLES: 'bubbles in the tube',
  CYLINDER: 'pump output measured in a cylinder',
  CHANGED: 'something changed',
  PLAN: 'new daily amount',
  TIMES: 'new times of day',
  PLACE: 'tube end moved',
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
  const placed = usePlaceLine(tank.id);
  const forget = useForgetLineNote(tank.id);
  const [first, setFirst] = useState(line.times?.first ?? '21:00');
  const [overH, setOverH] = useState(String(line.times?.overH ?? 24));
  const [place, setPlace] = useState(line.place);
  const [kind, setKind] = useState<keyof typeof SAID>('LEVEL');
  const [value, setValue] = useTyped(`line-${line.id}-value`, () => '');
  const [asked, setAsked] = useTyped(`line-${line.id}-asked`, () => '');
  const [words, setWords] = useTyped(`line-${line.id}-words`, () => '');
  const [readIn, setReadIn] = useState<LineNoteIn>(
    line.areaCm2 !== undefined ? 'CM' : line.emptyG !== undefined ? 'G' : 'ML',
  );
  const [at, setAt] = useState(() => localInput(new Date(), tank.zone));
  const [missing, setMissing] = useState<string>();
  const units = [
    ...(line.areaCm2 === undefined ? [] : [{ value: 'CM', label: 'cm' }]),
    ...(line.emptyG === undefined ? [] : [{ value: 'G', label: 'g, with the vessel' }]),
    { value: 'ML', label: 'mL' },
  ];
  const levelled = kind === 'LEVEL' || kind === 'FILLED';
  const save = (read: number | null, setTo?: number) => {
    switch (kind) {
      case 'PLACE':
        return placed
          .mutateAsync({ id: line.id, place })
          .then(() => tell('Added.', () => placed.mutate({ id: line.id, place: line.place })));
      case 'TIMES': {
        const times =
          read === null
            ? undefined
            : { perDay: Math.round(read), first, overH: readNumber(overH) ?? 24 };
        return timed
          .mutateAsync({ id: line.id, times })
          .then(() =>
            tell('Times changed. Set the pump to them.', () =>
              timed.mutate({ id: line.id, times: line.times }),
            ),
          );
      }
      case 'PLAN':
        return plan
          .mutateAsync({ id: line.id, at, mlPerDay: read ?? 0 })
          .then(() =>
            tell('Plan changed. Set the pump to it.', () =>
              plan.mutate({ id: line.id, at, mlPerDay: before }),
            ),
          );
      default:
        return note
          .mutateAsync({
            id: line.id,
            at,
            kind,
            value: levelled || kind === 'CYLINDER' ? (read ?? undefined) : undefined,
            asked: setTo,
            readIn: levelled && read !== null ? readIn : undefined,
            note: kind === 'CHANGED' ? words : '',
          })
          .then(({ id }) => tell('Added.', () => forget.mutate({ id: line.id, noteId: id })));
    }
  };
  const before = plannedAt(line, at, tank.zone);
  const wanted = useLater(readNumber(value));
  const rise = useMemo(() => {
    const now = asPlanned(line, before);
    const then = wanted === null ? undefined : asPlanned(line, wanted);
    return now && then && { now, then };
  }, [line, before, wanted]);
  const send = () => {
    const read = readNumber(value);
    const setTo = kind === 'CYLINDER' ? readNumber(asked) : undefined;
    const needed =
      levelled || kind === 'PLAN' || kind === 'CYLINDER' || (kind === 'TIMES' && value !== '');
    if (setTo === null || (needed && read === null && !(kind === 'FILLED' && value === ''))) {
      setMissing('Enter a number.');
      return;
    }
    setMissing(undefined);
    save(read, setTo)
      .then(() => {
        setValue('');
        setAsked('');
        setWords('');
      })
      .catch(() => undefined);
  };
  const changes = [note, plan, timed, placed];
  const error = missing ?? changes.find((change) => change.error)?.error?.message;
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
              label={kind === 'FILLED' ? 'To (empty: full)' : 'Level'}
              inputMode="decimal"
              value={value}
              onChange={(e) => setValue(e.target.value)}
              className="w-36"
            />
            {units.length > 1 ? (
              <Choice
                label="Read in"
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
              label="Set to"
              inputMode="decimal"
              unit="mL"
              value={asked}
              onChange={(e) => setAsked(e.target.value)}
              className="w-36"
            />
            <Field
              label="Measured"
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
            label="New amount"
            inputMode="decimal"
            unit="mL a day"
            value={value}
            onChange={(e) => setValue(e.target.value)}
            className="w-48"
          />
        )}
        {kind === 'PLAN' && wanted !== null && (
          <div className="order-last basis-full">
            <StepUp from={before} to={wanted} rise={rise} take={(ml) => setValue(String(ml))} />
          </div>
        )}
        {kind === 'TIMES' && (
          <>
            <Field
              label="Doses a day (empty: continuous)"
              inputMode="numeric"
              value={value}
              onChange={(e) => setValue(e.target.value)}
              className="w-56"
            />
            <When
              label="The first at"
              kind="time"
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
        {kind === 'PLACE' && (
          <Field
            label="Tube ends in"
            value={place}
            maxLength={60}
            onChange={(e) => setPlace(e.target.value)}
            className="w-72"
          />
        )}
        {kind === 'CHANGED' && (
          <Field
            label="What changed (tape at the fitting, new tube…)"
            value={words}
            maxLength={200}
            onChange={(e) => setWords(e.target.value)}
            className="w-72"
          />
        )}
        {kind !== 'TIMES' && kind !== 'PLACE' && (
          <When label="at" kind="moment" value={at} onChange={(e) => setAt(e.target.value)} />
        )}
        <Button type="submit" disabled={changes.some((change) => change.isPending)}>
          Add to log
        </Button>
      </div>
      <Refusal message={error} />
    </form>
  );
}
