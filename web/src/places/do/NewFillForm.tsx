import { useWatch } from 'react-hook-form';
import { useFillMedia } from '../../api/media';
import { localTime, number } from '../../lib/checks';
import { measure, readAs } from '../../lib/measure';
import { readNumber } from '../../lib/number';
import { localInput } from '../../lib/time';
import { useTypedForm } from '../../lib/useTypedForm';
import { z } from '../../lib/zod';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { Slider } from '../../parts/Slider';
import { Tick } from '../../parts/Tick';
import { useAtTank } from '../../TankContext';

const CHOKES = { UNKNOWN: undefined, PASSES: false, CHOKED: true } as const;

const schema = z.object({
  at: localTime,
  mass: number('The mass'),
  intake: z.enum(['ROOM', 'OUTDOORS']),
  back: z.number(),
  hours: z.enum(['ALWAYS', 'LAMPS_OFF', 'LAMPS_ON', 'BELOW_PH']),
  gate: number('The pH'),
  dries: z.boolean(),
  soaked: z.enum(['UNKNOWN', 'PASSES', 'CHOKED']),
});
const ASKED_AS: Record<string, string> = { mediaMassKg: 'mass', gatePh: 'gate' };

/** What goes into the column, what it breathes, and when. */
export function NewFillForm({ done }: { done: () => void }) {
  const { tank, units } = useAtTank();
  const fill = useFillMedia(tank.id);
  const tell = useNotice();
  const { form, field, refuse, sent, refusal } = useTypedForm(
    schema,
    {
      at: localInput(new Date(), tank.zone),
      mass: '',
      intake: 'ROOM',
      back: 0,
      hours: 'ALWAYS',
      gate: '8.2',
      dries: false,
      soaked: 'UNKNOWN',
    },
    (name) => ASKED_AS[name] ?? name,
    `new-fill-${tank.id}`,
  );
  const { back = 0, hours } = useWatch({ control: form.control });
  const save = form.handleSubmit((v) =>
    fill.mutate(
      {
        at: v.at,
        massKg: readAs(v.mass, 'mass', units) ?? 0,
        intake: v.intake,
        freshShare: Math.round((1 - v.back) * 100) / 100,
        hours: v.hours,
        gatePh: v.hours === 'BELOW_PH' ? (readNumber(v.gate) ?? undefined) : undefined,
        driesBetween: v.dries,
        chokes: CHOKES[v.soaked],
      },
      {
        onSuccess: () => {
          sent();
          tell('Fill added.');
          done();
        },
        onError: refuse,
      },
    ),
  );
  return (
    <form onSubmit={(e) => void save(e)} noValidate className="grid gap-4 md:grid-cols-2">
      <p className="text-soft md:col-span-2">
        Wear goggles, gloves and a dust mask: the dust burns. Foam at both ends, a teaspoon of
        water, sealed, connected.
      </p>
      <When label="Filled" kind="moment" {...field('at')} />
      <Field
        label="Mass"
        inputMode="decimal"
        unit={measure('mass', units).label}
        {...field('mass')}
      />
      <Choice
        label="Fresh air from"
        {...field('intake')}
        options={[
          { value: 'ROOM', label: 'the room' },
          { value: 'OUTDOORS', label: 'outdoors' },
        ]}
      />
      <Choice
        label="In use"
        {...field('hours')}
        options={[
          { value: 'ALWAYS', label: 'always' },
          { value: 'LAMPS_OFF', label: 'while the lamps are off' },
          { value: 'LAMPS_ON', label: 'while the lamps are on' },
          { value: 'BELOW_PH', label: 'below a pH' },
        ]}
      />
      {hours === 'BELOW_PH' && (
        <Field label="Below" inputMode="decimal" unit="pH" {...field('gate')} />
      )}
      <div className="md:col-span-2">
        <Slider
          label="Recirculated exhaust"
          value={back}
          min={0}
          max={1}
          step={0.01}
          shown={`${Math.round(back * 100)} %`}
          onChange={(share) => form.setValue('back', share)}
        />
        {back > 0.98 && (
          <p className="border-l-4 border-danger pl-3">
            ✕ Leave 2–5 % fresh air in: a closed loop adds no oxygen. Check the night’s oxygen on
            the Bench.
          </p>
        )}
      </div>
      {hours !== 'ALWAYS' && (
        <Tick className="md:col-span-2" {...field('dries')}>
          Fresh air dries the media while not in use
        </Tick>
      )}
      <Choice
        label="When the media are soaked, the air"
        {...field('soaked')}
        options={[
          { value: 'UNKNOWN', label: 'unknown' },
          { value: 'PASSES', label: 'still passes' },
          { value: 'CHOKED', label: 'is blocked' },
        ]}
        hint="A wide column lets air pass. A narrow one or fine dust blocks it."
      />
      <Refusal message={refusal} className="md:col-span-2" />
      <div className="flex gap-2 md:col-span-2">
        <Button look="main" type="submit" disabled={fill.isPending}>
          Add fill
        </Button>
        <Button look="quiet" onClick={done}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
