import { useWatch } from 'react-hook-form';
import { useAddKit, useEditKit } from '../../api/guard';
import { useTanks } from '../../api/homes';
import type { KitItem, TankDescription } from '../../api/types';
import { measure, show, typed } from '../../lib/measure';
import { useTypedForm } from '../../lib/useTypedForm';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { Tick } from '../../parts/Tick';
import { useAtTank } from '../../TankContext';
import { MOTIONS } from '../begin/tankForm';
import {
  ASKED,
  ASKED_AS,
  CARRYING,
  inFields,
  isBattery,
  kitSchema,
  MEASURED,
  numbersOf,
  SEVERAL,
  toDescription,
  type Energy,
  type KitWords,
  type Words,
} from './kitForm';

const STARTS = [
  { value: 'HAND', label: 'someone has to start it' },
  { value: 'ITSELF', label: 'starts by itself, can be switched off' },
  { value: 'TO_THE_END', label: 'starts by itself, can’t be switched off' },
] as const;

const ENERGIES: readonly { value: Energy; label: string }[] = [
  { value: 'DRY_CELLS', label: 'dry cells' },
  { value: 'UPS', label: 'a computer’s UPS' },
  { value: 'LEAD_BATTERY', label: 'a lead battery' },
  { value: 'LITHIUM_BATTERY', label: 'a lithium battery' },
  { value: 'GENERATOR', label: 'a generator' },
];

/** The largest surface: the others are a sump's. */
const displayOf = (tank: TankDescription) =>
  [...tank.surfaces].sort((a, b) => b.areaM2 - a.areaM2).at(0);

/** What works without the mains: what it gives, what drives it, where it lies. A new thing, or one that is changed. */
export function KitForm({ item, done }: { item?: KitItem; done: () => void }) {
  const { tank, units } = useAtTank();
  const tanks = (useTanks().data ?? []).filter((t) => t.homeId === tank.homeId);
  const add = useAddKit(tank.homeId);
  const edit = useEditKit(tank.homeId);
  const saving = item ? edit : add;
  const tell = useNotice();
  const { form, field, refuse, sent, refusal } = useTypedForm(
    kitSchema,
    inFields(item, units),
    (name) => ASKED_AS[name] ?? name,
    `kit-${item?.id ?? tank.homeId}`,
  );
  const shown = useWatch({ control: form.control });
  const energy = shown.energy ?? 'DRY_CELLS';
  const battery = isBattery(energy);
  const asked = new Set(
    numbersOf({ gives: shown.gives ?? 'AIR', energy, runs: shown.runs ?? 'inverter' }),
  );
  const over = shown.over ?? [];
  const whole = shown.gives === 'WHOLE_TANK';
  const save = form.handleSubmit((values) => {
    const description = toDescription(values, item?.description, units);
    const answered = {
      onSuccess: () => {
        sent();
        tell(item ? 'Changed.' : 'Added to your kit.');
        done();
      },
      onError: refuse,
    };
    if (item) edit.mutate({ id: item.id, version: item.version, description }, answered);
    else add.mutate(description, answered);
  });
  const number = (key: Words, label: string, unit?: string, hint?: string) => (
    <Field
      key={key}
      label={label}
      unit={MEASURED[key] ? measure(MEASURED[key], units).label : unit}
      hint={hint}
      inputMode="decimal"
      {...field(key)}
    />
  );
  return (
    <form onSubmit={(e) => void save(e)} noValidate className="grid gap-4 md:grid-cols-2">
      <Field label="Equipment" {...field('name')} />
      <Field label="Where it is kept" {...field('place')} />
      <Field label="Who can use it" {...field('who')} />
      <Choice
        label="It provides"
        {...field('gives')}
        options={[
          { value: 'AIR', label: 'air through a stone' },
          { value: 'CIRCULATION', label: 'a moving surface' },
          { value: 'WHOLE_TANK', label: 'power for the tank’s own pumps' },
        ]}
        onChange={(e) => {
          const gives = e.target.value as KitWords['gives'];
          form.setValue('gives', gives);
          if (gives === 'WHOLE_TANK' && (shown.movedM2 ?? '') === '') {
            const display = displayOf(tank.description);
            form.setValue('movedM2', display ? typed(display.areaM2, 'area', units) : '');
            if (display) form.setValue('motion', display.motion);
          }
        }}
      />
      {shown.gives === 'AIR'
        ? [
            number('airLPerH', 'Air', 'L/h'),
            number(
              'depthM',
              'Depth of the stone',
              undefined,
              `Empty: ${show(0.4, 'length', units)}, 2 mm bubbles (assumed).`,
            ),
          ]
        : number('movedM2', 'Surface it moves')}
      {whole && (
        <Choice
          label="Surface movement then"
          {...field('motion')}
          options={MOTIONS}
          hint="With these pumps only."
        />
      )}
      {whole && number('airLPerH', 'Air draw of the skimmer', 'L/h', 'Empty: skimmer stays off.')}
      {whole
        ? number(
            'loadW',
            'Power of everything you plug in',
            'W',
            'Pumps first. Leave the heater off: it needs the most.',
          )
        : number('loadW', 'Power', 'W', 'Empty: estimated from what it moves.')}
      {CARRYING.filter((a) => asked.has(a.key)).map((a) => number(a.key, a.label, a.unit, a.hint))}
      <Choice
        label="Driven by"
        {...field('energy')}
        onChange={(e) => {
          form.setValue('energy', e.target.value as Energy);
          form.setValue('starts', e.target.value === 'UPS' ? 'TO_THE_END' : 'HAND');
        }}
        options={ENERGIES}
      />
      <Choice
        label="When the power fails"
        {...field('starts')}
        options={STARTS}
        hint="Equipment you can’t switch off runs from the first minute until empty."
      />
      {energy === 'DRY_CELLS' && (
        <Choice
          label="Size of the cells"
          {...field('cellSize')}
          options={[
            { value: 'D', label: 'D' },
            { value: 'C', label: 'C' },
            { value: 'AA', label: 'AA' },
          ]}
        />
      )}
      {battery && (
        <Choice
          label="The pump runs"
          {...field('runs')}
          options={[
            { value: 'inverter', label: 'through an inverter' },
            { value: 'direct', label: 'on direct current' },
          ]}
        />
      )}
      {ASKED[energy]
        .filter((a) => asked.has(a.key))
        .map((a) => number(a.key, a.label, a.unit, a.hint))}
      {number(
        'makerHours',
        'Or run time by its maker',
        'h',
        'Used instead of our estimate. We count on half.',
      )}
      {number('yearsOld', 'Age', 'years', 'Empty: we assume it is old.')}
      <When label="Good until" kind="date" {...field('expires')} />
      {tanks.length > 1 && (
        <Choice
          label="Kept for"
          {...field('keptFor')}
          options={[
            { value: '', label: 'whichever needs it' },
            ...tanks.map((t) => ({ value: t.id, label: t.description.name })),
            { value: SEVERAL, label: 'several at once, a central pump' },
          ]}
        />
      )}
      {shown.keptFor === SEVERAL && (
        <fieldset className="md:col-span-2">
          <legend className="text-sm text-soft">
            It supplies (air is shared by volume, assumed)
          </legend>
          {tanks.map((t) => (
            <Tick
              key={t.id}
              checked={over.includes(t.id)}
              onChange={(e) =>
                form.setValue(
                  'over',
                  e.target.checked ? [...over, t.id] : over.filter((id) => id !== t.id),
                )
              }
            >
              {t.description.name}
            </Tick>
          ))}
        </fieldset>
      )}
      {energy === 'GENERATOR' && (
        <p className="border-l-4 border-danger pl-3 md:col-span-2">
          ✕ Outdoors only, far from doors and windows, never in a garage. Stop it and refuel it
          cold. Keep a carbon monoxide alarm indoors. Never back-feed the house. Ask a licensed
          electrician to fit a transfer switch.
        </p>
      )}
      {whole && energy !== 'GENERATOR' && (
        <p className="border-l-4 border-danger pl-3 md:col-span-2">
          ✕ Plug pumps into the inverter or UPS itself. Never back-feed the house. Ventilate
          batteries. Never use a swollen one.
        </p>
      )}
      <Refusal message={refusal} className="md:col-span-2" />
      <div className="flex gap-2 md:col-span-2">
        <Button look="main" type="submit" disabled={saving.isPending}>
          {item ? 'Save' : 'Add to kit'}
        </Button>
        <Button look="quiet" onClick={done}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
