import { useWatch } from 'react-hook-form';
import { useAddLine } from '../../api/dosing';
import type { Line } from '../../api/types';
import { localTime, number, numberOrNothing, words } from '../../lib/checks';
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
import { useLater } from '../../parts/useLater';
import { useAtTank } from '../../TankContext';
import { CAUSTIC, SOLUTES } from './doseWords';
import { StepUp } from './StepUp';
import { SIPHON, STUCK } from './VesselGuard';

const SOLUTE_KEYS = Object.keys(SOLUTES) as [Line['solute'], ...Line['solute'][]];

const schema = z.object({
  name: words('Enter a name.', 60),
  solute: z.enum(SOLUTE_KEYS),
  share: number('The strength'),
  vessel: number('What the vessel holds'),
  area: numberOrNothing('The cross-section'),
  empty: numberOrNothing('Its weight'),
  mlPerDay: number('The amount'),
  by: z.enum(['DRIP', 'CLOCK']),
  perDay: numberOrNothing('How often'),
  first: z.string(),
  overH: numberOrNothing('The hours'),
  place: z.string().max(60),
  siphon: z.enum(['NOTHING', 'OUTLET_ABOVE', 'ANTI_SIPHON_VALVE']),
  stuck: z.enum(['NOTHING', 'METERED_HEAD', 'TIMER_IN_SERIES']),
  at: localTime,
});
/** What moves alkalinity begins at half. */
const CAN_STEP: readonly Line['solute'][] = [
  'LIMEWATER',
  'SODA_ASH',
  'BICARBONATE',
  'SODIUM_HYDROXIDE',
  'POTASSIUM_HYDROXIDE',
];

const ASKED_AS: Record<string, string> = {
  vesselMl: 'vessel',
  areaCm2: 'area',
  emptyG: 'empty',
  times: 'by',
};

/** What is dosed, from what, and how much a day. */
export function NewLineForm({ done }: { done: () => void }) {
  const { tank } = useAtTank();
  const add = useAddLine(tank.id);
  const tell = useNotice();
  const { form, field, refuse, sent, refusal } = useTypedForm(
    schema,
    {
      name: '',
      solute: 'LIMEWATER',
      share: '100',
      vessel: '',
      area: '',
      empty: '',
      mlPerDay: '',
      by: 'DRIP',
      perDay: '12',
      first: '21:00',
      overH: '24',
      place: '',
      siphon: 'NOTHING',
      stuck: 'NOTHING',
      at: localInput(new Date(), tank.zone),
    },
    (name) => ASKED_AS[name] ?? name,
    `new-line-${tank.id}`,
  );
  const { solute = 'LIMEWATER', by = 'DRIP', mlPerDay = '' } = useWatch({ control: form.control });
  const wanted = useLater(readNumber(mlPerDay));
  const save = form.handleSubmit((v) =>
    add.mutate(
      {
        name: v.name,
        solute: v.solute,
        share: (readNumber(v.share) ?? 0) / 100,
        vesselMl: readNumber(v.vessel) ?? 0,
        areaCm2: readNumber(v.area) ?? undefined,
        emptyG: readNumber(v.empty) ?? undefined,
        mlPerDay: readNumber(v.mlPerDay) ?? 0,
        times:
          v.by === 'CLOCK'
            ? {
                perDay: Math.round(readNumber(v.perDay) ?? 0),
                first: v.first,
                overH: readNumber(v.overH) ?? 24,
              }
            : undefined,
        place: v.place,
        siphon: v.siphon,
        stuck: v.stuck,
        at: v.at,
      },
      {
        onSuccess: () => {
          sent();
          tell('Dosing line added. The mixing card has the recipe and a label to print.');
          done();
        },
        onError: refuse,
      },
    ),
  );
  return (
    <form onSubmit={(e) => void save(e)} noValidate className="grid gap-4 md:grid-cols-2">
      <Field label="Name" {...field('name')} />
      <Choice
        label="What is dosed"
        {...field('solute')}
        options={SOLUTE_KEYS.map((value) => ({ value, label: SOLUTES[value] }))}
      />
      <Field
        label="Strength, share of saturation"
        inputMode="decimal"
        unit="%"
        {...field('share')}
      />
      <Field label="The vessel holds" inputMode="decimal" unit="mL" {...field('vessel')} />
      <Field
        label="Cross-section, if you read centimetres"
        inputMode="decimal"
        unit="cm²"
        {...field('area')}
      />
      <Field
        label="Empty weight, if you read a scale"
        inputMode="decimal"
        unit="g"
        {...field('empty')}
      />
      <Field label="Planned a day" inputMode="decimal" unit="mL" {...field('mlPerDay')} />
      <Choice
        label="Timing"
        {...field('by')}
        options={[
          { value: 'DRIP', label: 'continuous, all day' },
          { value: 'CLOCK', label: 'at set times' },
        ]}
      />
      {by === 'CLOCK' && (
        <>
          <Field label="Doses a day" inputMode="numeric" {...field('perDay')} />
          <When label="The first at" kind="time" {...field('first')} />
          <Field
            label="Spread over (24: day and night)"
            inputMode="decimal"
            unit="h"
            {...field('overH')}
          />
        </>
      )}
      <Field label="Tube ends in (return chamber…)" maxLength={60} {...field('place')} />
      <Choice label="What prevents a siphon?" {...field('siphon')} options={SIPHON} />
      <Choice label="What stops a stuck pump?" {...field('stuck')} options={STUCK} />
      <When label="Since" kind="moment" {...field('at')} />
      {wanted !== null && CAN_STEP.includes(solute) && (
        <div className="md:col-span-2">
          <StepUp from={0} to={wanted} take={(ml) => form.setValue('mlPerDay', String(ml))} />
        </div>
      )}
      {CAUSTIC.includes(solute) && (
        <p className="border-l-4 border-alk pl-3 md:col-span-2">
          Wear goggles, gloves and a dust mask: this is caustic. Add powder to water, never water to
          powder. Keep it away from acids. Label it and lock it away from children and pets, never
          in a food or medicine bottle. If it reaches an eye, rinse long with water and get medical
          help.
        </p>
      )}
      {(solute === 'SODIUM_HYDROXIDE' || solute === 'POTASSIUM_HYDROXIDE') && (
        <p className="text-soft md:col-span-2">
          50 % (0.5 mol/L) is enough for most tanks. Stronger solutions heat and burn more.
        </p>
      )}
      <p className="text-soft md:col-span-2">
        End the tube above the water, over strong flow, so it can’t siphon. Don’t dose while the
        return pump is off. Never let an unchecked probe control a dose.
      </p>
      <Refusal message={refusal} className="md:col-span-2" />
      <div className="flex gap-2 md:col-span-2">
        <Button look="main" type="submit" disabled={add.isPending}>
          Add dosing line
        </Button>
        <Button look="quiet" onClick={done}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
