import { useState, type SubmitEvent } from 'react';
import { useFillMedia } from '../../api/hooks';
import type { NewFill } from '../../api/types';
import { measure, readAs } from '../../lib/measure';
import { readNumber } from '../../lib/number';
import { localInput } from '../../lib/time';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { Slider } from '../../parts/Slider';
import { useAtTank } from '../../TankContext';

const CHOKES = { UNKNOWN: undefined, PASSES: false, CHOKED: true } as const;

/** What goes into the column, what it breathes, and when. */
export function NewFillForm({ done }: { done: () => void }) {
  const { tank, units } = useAtTank();
  const fill = useFillMedia(tank.id);
  const tell = useNotice();
  const [at, setAt] = useState(localInput(new Date(), tank.zone));
  const [mass, setMass] = useState('');
  const [intake, setIntake] = useState<NewFill['intake']>('ROOM');
  const [back, setBack] = useState(0);
  const [hours, setHours] = useState<NewFill['hours']>('ALWAYS');
  const [gate, setGate] = useState('8.2');
  const [dries, setDries] = useState(false);
  const [soaked, setSoaked] = useState<keyof typeof CHOKES>('UNKNOWN');
  const massKg = readAs(mass, 'mass', units);
  const save = (e: SubmitEvent) => {
    e.preventDefault();
    fill.mutate(
      {
        at,
        massKg: massKg ?? 0,
        intake,
        freshShare: Math.round((1 - back) * 100) / 100,
        hours,
        gatePh: hours === 'BELOW_PH' ? (readNumber(gate) ?? undefined) : undefined,
        driesBetween: dries,
        chokes: CHOKES[soaked],
      },
      {
        onSuccess: () => {
          tell('Fill noted.');
          done();
        },
      },
    );
  };
  return (
    <form onSubmit={save} noValidate className="grid max-w-3xl gap-4 border-t pt-4 md:grid-cols-3">
      <h2 className="text-lg font-bold md:col-span-3">A new fill</h2>
      <p className="text-soft md:col-span-3">
        Foam at both ends, a teaspoon of water, sealed, connected; goggles, gloves, dust mask.
      </p>
      <Field
        label="Filled"
        type="datetime-local"
        value={at}
        onChange={(e) => setAt(e.target.value)}
        error={fill.error?.at('at')}
      />
      <Field
        label="Mass"
        inputMode="decimal"
        unit={measure('mass', units).label}
        value={mass}
        onChange={(e) => setMass(e.target.value)}
        error={
          mass !== '' && massKg === undefined
            ? 'This is not a number.'
            : fill.error?.at('mediaMassKg')
        }
      />
      <Choice
        label="Fresh air from"
        value={intake}
        onChange={(e) => setIntake(e.target.value as NewFill['intake'])}
        options={[
          { value: 'ROOM', label: 'the room' },
          { value: 'OUTDOORS', label: 'outdoors' },
        ]}
      />
      <Choice
        label="In use"
        value={hours}
        onChange={(e) => setHours(e.target.value as NewFill['hours'])}
        options={[
          { value: 'ALWAYS', label: 'always' },
          { value: 'LAMPS_OFF', label: 'while the lamps are off' },
          { value: 'LAMPS_ON', label: 'while the lamps are on' },
          { value: 'BELOW_PH', label: 'below a pH' },
        ]}
      />
      {hours === 'BELOW_PH' && (
        <Field
          label="Below"
          inputMode="decimal"
          unit="pH"
          value={gate}
          onChange={(e) => setGate(e.target.value)}
          error={readNumber(gate) === null ? 'This is not a number.' : fill.error?.at('gatePh')}
        />
      )}
      <div className="md:col-span-2">
        <Slider
          label="Exhaust led back"
          value={back}
          min={0}
          max={1}
          step={0.01}
          shown={`${Math.round(back * 100)} %`}
          onChange={setBack}
        />
        {back > 0.98 && (
          <p className="border-l-4 border-danger pl-3">
            ✕ A closed loop does not renew oxygen: leave 2 to 5 % fresh air in, and watch the night
            oxygen on the Bench.
          </p>
        )}
      </div>
      {hours !== 'ALWAYS' && (
        <label className="flex min-h-11 items-center gap-3 md:col-span-3">
          <input
            type="checkbox"
            className="size-5 accent-accent"
            checked={dries}
            onChange={(e) => setDries(e.target.checked)}
          />
          Fresh air passes and dries them while they are not in use
        </label>
      )}
      <Choice
        label="Once they are soaked, the air"
        value={soaked}
        onChange={(e) => setSoaked(e.target.value as keyof typeof CHOKES)}
        options={[
          { value: 'UNKNOWN', label: 'not known' },
          { value: 'PASSES', label: 'still passes them' },
          { value: 'CHOKED', label: 'is choked' },
        ]}
        hint="A wide column lets it pass; a narrow one, or fine dust, chokes it."
      />
      {fill.error && (
        <p role="alert" className="font-semibold md:col-span-3">
          ✕ {fill.error.message}
        </p>
      )}
      <div className="flex gap-2 md:col-span-3">
        <Button look="main" type="submit" disabled={massKg === undefined || fill.isPending}>
          Note the fill
        </Button>
        <Button look="quiet" onClick={done}>
          not now
        </Button>
      </div>
    </form>
  );
}
