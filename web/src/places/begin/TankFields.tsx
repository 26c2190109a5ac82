import type { ChangeEvent } from 'react';
import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import type { Units } from '../../api/types';
import { measure } from '../../lib/measure';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { AirAround, Animals, OVER } from './PartsFields';
import { SurfaceSketch } from './SurfaceSketch';
import { ASSUMED, ASSUMPTION_NAMES, MOTIONS, SKIMMERS, type TankForm } from './tankForm';

/** A walk around the tank: water, surface, light, air, and what its keeper wants. */
export function TankFields({ form, units }: { form: UseFormReturn<TankForm>; units: Units }) {
  const { register, formState, control, watch } = form;
  const errors = formState.errors;
  const surfaces = useFieldArray({ control, name: 'surfaces' });
  const motions = watch('surfaces');
  const on = watch('on');
  const off = watch('off');
  return (
    <div className="grid gap-8">
      <fieldset className="grid gap-4 md:grid-cols-2">
        <legend className="pb-2 text-lg font-bold">The water</legend>
        <Field label="Name of the tank" {...register('name')} error={errors.name?.message} />
        <Field
          label="Net water volume, with the sump, without rock and sand"
          inputMode="decimal"
          unit={measure('volume', units).label}
          {...register('netVolume')}
          error={errors.netVolume?.message}
        />
        <Field
          label="What lives in the tank, and where it stands"
          className="md:col-span-2"
          {...register('about')}
          error={errors.about?.message}
        />
      </fieldset>
      <fieldset>
        <legend className="pb-2 text-lg font-bold">Water surfaces</legend>
        <p className="pb-2 text-soft">
          Open water only. Surfaces and skimmer set how fast the water follows the room air.
        </p>
        {surfaces.fields.map((field, i) => (
          <div
            key={field.id}
            className="grid grid-cols-2 items-start gap-x-4 gap-y-2 border-t py-3 md:grid-cols-[1fr_7rem_13rem_5rem_11rem_auto]"
          >
            <Field
              label="Which"
              {...register(`surfaces.${i}.name`)}
              error={errors.surfaces?.[i]?.name?.message}
            />
            <Field
              label="Area"
              inputMode="decimal"
              unit={measure('area', units).label}
              {...register(`surfaces.${i}.areaM2`)}
              error={errors.surfaces?.[i]?.areaM2?.message}
            />
            <Choice label="Movement" options={MOTIONS} {...register(`surfaces.${i}.motion`)} />
            <SurfaceSketch motion={motions[i]?.motion ?? 'ROLLING'} />
            <Choice label="Under" options={OVER} {...register(`surfaces.${i}.over`)} />
            <Button look="quiet" className="md:mt-6" onClick={() => surfaces.remove(i)}>
              remove
            </Button>
          </div>
        ))}
        <Button
          look="quiet"
          onClick={() =>
            surfaces.append({ name: 'sump', areaM2: '', motion: 'ROLLING', over: 'ROOM' })
          }
        >
          Add a surface
        </Button>
      </fieldset>
      <fieldset className="grid gap-4 md:grid-cols-3">
        <legend className="pb-2 text-lg font-bold">Light and air</legend>
        <When label="Lights on" kind="time" {...register('on')} error={errors.on?.message} />
        <When
          label="Lights off"
          kind="time"
          {...register('off')}
          error={errors.off?.message}
          hint={
            on === off
              ? 'Same time twice: this tank is never lit.'
              : off < on
                ? 'The lit time crosses midnight.'
                : undefined
          }
        />
        <label className="flex min-h-11 items-center gap-3 self-end">
          <input type="checkbox" className="size-5" {...register('followsClockChanges')} />
          The lamp’s clock follows summer time
        </label>
        <Field
          label="Ramp up and down over"
          inputMode="numeric"
          unit="min"
          {...register('rampMinutes')}
          error={errors.rampMinutes?.message}
          hint="Empty: no ramp."
        />
        <Choice
          label="Skimmer"
          options={SKIMMERS}
          {...register('skimmer')}
          error={errors.skimmer?.message}
          hint="If the air draw is unknown, we assume one tank volume an hour."
        />
        <Field
          label="Air the skimmer draws"
          inputMode="decimal"
          unit="L/h"
          {...register('skimmerAirDrawLPerH', {
            onChange: (e: ChangeEvent<HTMLInputElement>) => {
              if (e.target.value !== '')
                form.setValue('skimmer', 'KNOWN', { shouldDirty: true, shouldValidate: true });
            },
          })}
          error={errors.skimmerAirDrawLPerH?.message}
        />
        <p className="text-sm text-soft md:col-span-3">
          To measure the draw, hold a bag of known volume over the air inlet. Time how long the bag
          takes to empty. Air draw in L/h is 3600 × litres ÷ seconds.
        </p>
      </fieldset>
      <AirAround form={form} units={units} />
      <Animals form={form} />
      <fieldset className="grid gap-4 md:grid-cols-3">
        <legend className="pb-2 text-lg font-bold">Your goal</legend>
        <Choice
          label="Priority"
          className="md:col-span-3"
          options={[
            { value: 'LIFT', label: 'raise the daily low to the goal' },
            { value: 'STEADY', label: 'keep steady: small swing, plenty of oxygen' },
          ]}
          {...register('stance')}
        />
        <Field
          label="Daily low at least"
          inputMode="decimal"
          unit="pH"
          {...register('troughAtLeast')}
          error={errors.troughAtLeast?.message}
        />
        <Field
          label="Daily high at most"
          inputMode="decimal"
          unit="pH"
          {...register('peakAtMost')}
          error={errors.peakAtMost?.message}
        />
        <Field
          label="Action level"
          inputMode="decimal"
          unit="pH"
          {...register('actBelow')}
          error={errors.actBelow?.message}
        />
        <Field
          label="Why this goal range"
          className="md:col-span-3"
          {...register('reason')}
          error={errors.reason?.message}
        />
      </fieldset>
      <details open={Object.keys(errors.assumptions ?? {}).length > 0 || undefined}>
        <summary className="min-h-11 text-lg font-bold">
          Assumed values, and your own instead
        </summary>
        <div className="grid gap-4 pt-3 md:grid-cols-2">
          {ASSUMPTION_NAMES.map((name) => (
            <Field
              key={name}
              label={ASSUMED[name].label}
              inputMode="decimal"
              unit={ASSUMED[name].unit}
              {...register(`assumptions.${name}`)}
              error={errors.assumptions?.[name]?.message}
              hint={`Empty: ${ASSUMED[name].instead} (assumed).`}
            />
          ))}
        </div>
      </details>
    </div>
  );
}
