import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import type { Units } from '../../api/types';
import { measure, show } from '../../lib/measure';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { Tick } from '../../parts/Tick';
import type { TankForm } from './tankForm';

export const OVER = [
  { value: 'ROOM', label: 'the room' },
  { value: 'CANOPY', label: 'under the canopy' },
  { value: 'CABINET', label: 'in the cabinet' },
] as const;

const DOORS = [
  { value: 'NONE', label: 'none: open to the room' },
  { value: 'SHUT', label: 'shut' },
  { value: 'AJAR', label: 'ajar' },
  { value: 'OPEN', label: 'open' },
  { value: 'FAN', label: 'with a fan' },
] as const;

export const SOURCES = [
  { value: 'SODA_ASH', label: 'soda ash' },
  { value: 'BICARBONATE', label: 'bicarbonate' },
  { value: 'SODIUM_HYDROXIDE', label: 'sodium hydroxide' },
  { value: 'POTASSIUM_HYDROXIDE', label: 'potassium hydroxide' },
  { value: 'LIMEWATER', label: 'limewater' },
] as const;

const LIVESTOCK = [
  { value: 'UNSAID', label: 'not described: we assume a mixed reef' },
  { value: 'FISH_ONLY', label: 'fish only' },
  { value: 'SOFT_CORALS', label: 'soft corals' },
  { value: 'MIXED_REEF', label: 'a mixed reef' },
  { value: 'STONY_CORALS', label: 'stony corals' },
  { value: 'PLANTS', label: 'plants and algae' },
] as const;

interface Props {
  form: UseFormReturn<TankForm>;
}

/** The next stops of the walk: where water falls, what shuts the air in, what the skimmer breathes. */
export function AirAround({ form, units }: Props & { units: Units }) {
  const { register, formState, control, watch } = form;
  const errors = formState.errors.parts;
  const falls = useFieldArray({ control, name: 'parts.falls' });
  const cabinet = watch('parts.cabinet');
  return (
    <fieldset className="grid gap-4 md:grid-cols-3">
      <legend className="pb-2 text-lg font-bold">The air around it</legend>
      <Choice
        label="Canopy over the display"
        options={DOORS}
        {...register('parts.canopy')}
        hint="A tight lid holds CO2 in. We assume how much air it lets through."
      />
      <Choice
        label="Cabinet around the sump"
        options={DOORS}
        {...register('parts.cabinet')}
        hint="How the door usually is."
      />
      {cabinet !== 'NONE' && (
        <label className="flex min-h-11 items-center gap-3 self-center">
          <input type="checkbox" className="size-5" {...register('parts.skimmerInCabinet')} />
          The skimmer draws air from the cabinet
        </label>
      )}
      <Field
        label="Air hose from outdoors to the skimmer"
        inputMode="decimal"
        unit={measure('length', units).label}
        {...register('parts.lineLengthM')}
        error={errors?.lineLengthM?.message}
        hint="Empty: none."
      />
      <Field
        label="Inner diameter"
        inputMode="decimal"
        unit={measure('bore', units).label}
        {...register('parts.lineBoreMm')}
        error={errors?.lineBoreMm?.message}
      />
      <Field
        label="Air drawn through the hose"
        inputMode="decimal"
        unit="L/h"
        {...register('parts.lineDrawnLPerH')}
        error={errors?.lineDrawnLPerH?.message}
        hint="Empty: estimated from length and diameter."
      />
      <Choice
        label="Sealed canister filter"
        options={[
          { value: 'UNSAID', label: 'not described' },
          { value: 'YES', label: 'yes' },
          { value: 'NO', label: 'none' },
        ]}
        {...register('parts.canister')}
        hint="Outage plans include a step for a canister filter only if you have one."
      />
      <Field
        label="Air stone that always runs"
        inputMode="decimal"
        unit="L/h"
        {...register('parts.stone.airLPerH')}
        error={errors?.stone?.airLPerH?.message}
        hint="Empty: none."
      />
      <Field
        label="Depth"
        inputMode="decimal"
        unit={measure('length', units).label}
        {...register('parts.stone.depthM')}
        error={errors?.stone?.depthM?.message}
        hint={`Empty: ${show(0.4, 'length', units)} (assumed).`}
      />
      <label className="flex min-h-11 items-center gap-3 self-center">
        <input type="checkbox" className="size-5" {...register('parts.stone.outdoors')} />
        The air pump draws outdoor air
      </label>
      <div className="md:col-span-3">
        <p className="pb-2 text-soft">
          Where water falls through air: overflow, weir, drain pipe. Falls stop with the power.
        </p>
        {falls.fields.map((field, i) => (
          <div
            key={field.id}
            className="grid grid-cols-2 items-start gap-x-4 gap-y-2 border-t py-3 md:grid-cols-[1fr_9rem_12rem_9rem_auto]"
          >
            <Field
              label="Which"
              {...register(`parts.falls.${i}.name`)}
              error={errors?.falls?.[i]?.name?.message}
            />
            <Field
              label="Flow"
              inputMode="decimal"
              unit={measure('flow', units).label}
              {...register(`parts.falls.${i}.flowLPerH`)}
              error={errors?.falls?.[i]?.flowLPerH?.message}
            />
            <Choice label="Under" options={OVER} {...register(`parts.falls.${i}.over`)} />
            <Field
              label="Efficiency of the fall, 0–1"
              inputMode="decimal"
              {...register(`parts.falls.${i}.efficiency`)}
              error={errors?.falls?.[i]?.efficiency?.message}
              hint="Empty: 0.15 (assumed)."
            />
            <Button look="quiet" className="md:mt-6" onClick={() => falls.remove(i)}>
              remove
            </Button>
          </div>
        ))}
        <Button
          look="quiet"
          onClick={() =>
            falls.append({ name: 'drain', flowLPerH: '', over: 'ROOM', efficiency: '' })
          }
        >
          A place where water falls
        </Button>
      </div>
    </fieldset>
  );
}

/** The animals: fish that breathe, corals that build, algae, and what feeds their alkalinity. */
export function Animals({ form }: Props) {
  const { register, formState, control } = form;
  const errors = formState.errors.parts;
  const fish = useFieldArray({ control, name: 'parts.fish' });
  return (
    <fieldset className="grid gap-4 md:grid-cols-3">
      <legend className="pb-2 text-lg font-bold">The animals</legend>
      <Choice
        label="What lives in it"
        options={LIVESTOCK}
        {...register('parts.livestock')}
        hint="We estimate respiration from this until your log shows the real value."
      />
      <div className="md:col-span-3">
        <p className="pb-2 text-soft">
          Add your fish and guess their mass: fish use oxygen in an outage. Without fish described
          we assume a usual stocking.
        </p>
        {fish.fields.map((field, i) => (
          <div
            key={field.id}
            className="grid grid-cols-[1fr_5rem_8rem] items-start gap-x-4 border-t py-3 md:grid-cols-[1fr_6rem_9rem_auto]"
          >
            <Field
              label="Fish"
              {...register(`parts.fish.${i}.name`)}
              error={errors?.fish?.[i]?.name?.message}
            />
            <Field
              label="How many"
              inputMode="numeric"
              {...register(`parts.fish.${i}.count`)}
              error={errors?.fish?.[i]?.count?.message}
            />
            <Field
              label="Weight of one, about"
              inputMode="decimal"
              unit="g"
              {...register(`parts.fish.${i}.massG`)}
              error={errors?.fish?.[i]?.massG?.message}
            />
            <Button look="quiet" className="md:mt-6" onClick={() => fish.remove(i)}>
              remove
            </Button>
          </div>
        ))}
        <Button look="quiet" onClick={() => fish.append({ name: '', count: '1', massG: '' })}>
          Add fish
        </Button>
        {fish.fields.length === 0 && (
          <Tick {...register('parts.noFish')}>No fish live in this tank.</Tick>
        )}
      </div>
      <Field
        label="Alkalinity that the animals use"
        inputMode="decimal"
        unit="dKH a day"
        {...register('parts.alkalinityUseDkhPerDay')}
        error={errors?.alkalinityUseDkhPerDay?.message}
        hint="Empty: what the reactor delivers, otherwise left out."
      />
      <Choice
        label="Dosed as"
        options={SOURCES}
        {...register('parts.alkalinitySource')}
        hint="Soda ash is assumed."
      />
      <div />
      <Field
        label="Calcium reactor, effluent"
        inputMode="decimal"
        unit="L/h"
        {...register('parts.reactor.effluentLPerH')}
        error={errors?.reactor?.effluentLPerH?.message}
        hint="Empty: no reactor."
      />
      <Field
        label="pH in its chamber"
        inputMode="decimal"
        {...register('parts.reactor.effluentPhNbs')}
        error={errors?.reactor?.effluentPhNbs?.message}
        hint="Empty: 6.7 (assumed)."
      />
      <Field
        label="Alkalinity of the effluent"
        inputMode="decimal"
        unit="dKH"
        {...register('parts.reactor.effluentDkh')}
        error={errors?.reactor?.effluentDkh?.message}
        hint="Empty: 30 (assumed)."
      />
      <Field
        label="Refugium: CO2 uptake while lit"
        inputMode="decimal"
        unit="mmol/h"
        {...register('parts.refugium.mmolPerH')}
        error={errors?.refugium?.mmolPerH?.message}
        hint="Empty: no refugium. A well-lit one of 30 × 30 cm: about 3."
      />
      <When label="Refugium lamp on" kind="time" {...register('parts.refugium.on')} />
      <When label="Refugium lamp off" kind="time" {...register('parts.refugium.off')} />
    </fieldset>
  );
}
