import type { ChangeEvent } from 'react';
import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import type { Units } from '../../api/types';
import { measure } from '../../lib/measure';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
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
          label="Net water, without rock and sand, with the sump"
          inputMode="decimal"
          unit={measure('volume', units).label}
          {...register('netVolume')}
          error={errors.netVolume?.message}
        />
        <Field
          label="What lives in it, where it stands"
          className="md:col-span-2"
          {...register('about')}
          error={errors.about?.message}
        />
      </fieldset>
      <fieldset>
        <legend className="pb-2 text-lg font-bold">Its surfaces</legend>
        <p className="pb-2 text-soft">
          Open water only. They and the skimmer tell how fast the water follows the room.
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
            <Choice label="How it moves" options={MOTIONS} {...register(`surfaces.${i}.motion`)} />
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
          Another surface
        </Button>
      </fieldset>
      <fieldset className="grid gap-4 md:grid-cols-3">
        <legend className="pb-2 text-lg font-bold">Light and air</legend>
        <Field label="Lights on" type="time" {...register('on')} error={errors.on?.message} />
        <Field
          label="Lights off"
          type="time"
          {...register('off')}
          error={errors.off?.message}
          hint={
            on === off
              ? 'The same time: this tank is never lit.'
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
          label="Lamps come up and go down over"
          inputMode="numeric"
          unit="min"
          {...register('rampMinutes')}
          error={errors.rampMinutes?.message}
          hint="Empty: they switch."
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
          To measure the draw, hold a bag of known volume flat over the air inlet. Time until the
          bag is empty. 3600 × litres ÷ seconds is L/h.
        </p>
      </fieldset>
      <AirAround form={form} units={units} />
      <Animals form={form} />
      <fieldset className="grid gap-4 md:grid-cols-3">
        <legend className="pb-2 text-lg font-bold">What you want</legend>
        <Choice
          label="Stance"
          className="md:col-span-3"
          options={[
            { value: 'LIFT', label: 'lift: raise the trough to its goal' },
            { value: 'STEADY', label: 'steady: widest margin, smallest swing' },
          ]}
          {...register('stance')}
        />
        <Field
          label="Trough at or above"
          inputMode="decimal"
          unit="pH"
          {...register('troughAtLeast')}
          error={errors.troughAtLeast?.message}
        />
        <Field
          label="Peak at or below"
          inputMode="decimal"
          unit="pH"
          {...register('peakAtMost')}
          error={errors.peakAtMost?.message}
        />
        <Field
          label="Act below"
          inputMode="decimal"
          unit="pH"
          {...register('actBelow')}
          error={errors.actBelow?.message}
        />
        <Field
          label="Why this band"
          className="md:col-span-3"
          {...register('reason')}
          error={errors.reason?.message}
        />
      </fieldset>
      <details open={Object.keys(errors.assumptions ?? {}).length > 0 || undefined}>
        <summary className="min-h-11 text-lg font-bold">
          What is assumed, and your own values instead
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
