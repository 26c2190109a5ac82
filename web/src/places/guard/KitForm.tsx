import { useState, type SubmitEvent } from 'react';
import { useAddKit, useEditKit } from '../../api/guard';
import { useTanks } from '../../api/hooks';
import type { KitDescription, KitItem, Units } from '../../api/types';
import { measure, readAs, show, typed, type Measure } from '../../lib/measure';
import { readNumber } from '../../lib/number';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { useAtTank } from '../../TankContext';

type Energy = KitDescription['energy'];
type CellSize = NonNullable<KitDescription['cellSize']>;

const STARTS = [
  { value: 'HAND', label: 'somebody has to start it' },
  { value: 'ITSELF', label: 'it starts by itself and can be switched off' },
  { value: 'TO_THE_END', label: 'it starts by itself and cannot be switched off' },
] as const;
type Starts = (typeof STARTS)[number]['value'];

const ENERGIES: readonly { value: Energy; label: string }[] = [
  { value: 'DRY_CELLS', label: 'dry cells' },
  { value: 'UPS', label: 'a computer’s UPS' },
  { value: 'LEAD_BATTERY', label: 'a lead battery' },
  { value: 'LITHIUM_BATTERY', label: 'a lithium battery' },
  { value: 'GENERATOR', label: 'a generator' },
];

interface Asked {
  key:
    | 'cells'
    | 'upsW'
    | 'upsMinutes'
    | 'wattHours'
    | 'idleW'
    | 'inverterEfficiency'
    | 'fuelL'
    | 'idleLPerH';
  label: string;
  unit?: string;
  hint?: string;
}

const ASKED: Record<Energy, readonly Asked[]> = {
  DRY_CELLS: [{ key: 'cells', label: 'How many cells' }],
  UPS: [
    { key: 'upsW', label: 'Its maker says it carries', unit: 'W' },
    { key: 'upsMinutes', label: 'for', unit: 'min' },
  ],
  LEAD_BATTERY: [
    { key: 'wattHours', label: 'On its label', unit: 'Wh', hint: 'Ah × V.' },
    {
      key: 'idleW',
      label: 'The inverter’s own power',
      unit: 'W',
      hint: 'Empty: 8 W (assumed).',
    },
    { key: 'inverterEfficiency', label: 'Efficiency, 0 to 1', hint: 'Empty: 0.85 (assumed).' },
  ],
  LITHIUM_BATTERY: [
    { key: 'wattHours', label: 'On its label', unit: 'Wh', hint: 'Ah × V.' },
    {
      key: 'idleW',
      label: 'The inverter’s own power',
      unit: 'W',
      hint: 'Empty: 8 W (assumed).',
    },
    { key: 'inverterEfficiency', label: 'Efficiency, 0 to 1', hint: 'Empty: 0.85 (assumed).' },
  ],
  GENERATOR: [
    { key: 'fuelL', label: 'Fuel, in tank and safe cans' },
    {
      key: 'idleLPerH',
      label: 'It burns without load',
      unit: 'L/h',
      hint: 'Empty: 0.4 (assumed).',
    },
  ],
};

const INVERTER = new Set<Asked['key']>(['idleW', 'inverterEfficiency']);
const SEVERAL = 'several';

/** Asked in the keeper's own units. */
const MEASURED: Record<string, Measure> = { fuelL: 'volume', depthM: 'length', movedM2: 'area' };

/** The numbers and words of a thing, as they stand in the fields. */
const inFields = (d: KitDescription | undefined, units: Units): Record<string, string> =>
  Object.fromEntries(
    Object.entries({ name: '', place: '', who: '', ...d }).flatMap(([key, value]) => {
      if (typeof value === 'string') return [[key, value]];
      if (typeof value !== 'number') return [];
      const kind = MEASURED[key];
      return [[key, kind ? typed(value, kind, units) : String(value)]];
    }),
  );

/** What works without the mains: what it gives, what drives it, where it lies. A new thing, or one that is changed. */
export function KitForm({ item, done }: { item?: KitItem; done: () => void }) {
  const { tank, units } = useAtTank();
  const tanks = (useTanks().data ?? []).filter((t) => t.homeId === tank.homeId);
  const add = useAddKit(tank.homeId);
  const edit = useEditKit(tank.homeId);
  const saving = item ? edit : add;
  const tell = useNotice();
  const before = item?.description;
  const [text, setText] = useState(() => inFields(before, units));
  const [gives, setGives] = useState<KitDescription['gives']>(before?.gives ?? 'AIR');
  const [energy, setEnergy] = useState<Energy>(before?.energy ?? 'DRY_CELLS');
  const [cellSize, setCellSize] = useState<CellSize>(before?.cellSize ?? 'D');
  const [direct, setDirect] = useState(before?.directCurrent ?? false);
  const [starts, setStarts] = useState<Starts>(
    (item?.startsItself ?? (before?.energy ?? 'DRY_CELLS') === 'UPS')
      ? before?.canSwitchOff
        ? 'ITSELF'
        : 'TO_THE_END'
      : 'HAND',
  );
  const [over, setOver] = useState(before?.over ?? []);
  const [keptFor, setKeptFor] = useState(
    before?.over && before.over.length > 0 ? SEVERAL : (before?.tankId ?? ''),
  );
  const set = (key: string) => (e: { target: { value: string } }) =>
    setText({ ...text, [key]: e.target.value });
  const n = (key: string) => {
    const kind = MEASURED[key];
    const word = text[key] ?? '';
    return kind ? readAs(word, kind, units) : (readNumber(word) ?? undefined);
  };
  const field = (key: string, label: string, unit?: string, hint?: string) => (
    <Field
      key={key}
      label={label}
      unit={MEASURED[key] ? measure(MEASURED[key], units).label : unit}
      hint={hint}
      inputMode="decimal"
      value={text[key] ?? ''}
      onChange={set(key)}
      error={
        (text[key] ?? '') !== '' && n(key) === undefined
          ? 'This is not a number.'
          : (saving.error?.at(key) ?? saving.error?.at(SAME[key] ?? key))
      }
    />
  );
  const battery = energy === 'LEAD_BATTERY' || energy === 'LITHIUM_BATTERY';
  const save = (e: SubmitEvent) => {
    e.preventDefault();
    const description: KitDescription = {
      name: (text.name ?? '').trim(),
      place: (text.place ?? '').trim(),
      who: (text.who ?? '').trim(),
      expires: text.expires ? text.expires : undefined,
      tankId: keptFor === '' || keptFor === SEVERAL ? undefined : keptFor,
      over: keptFor === SEVERAL ? over : undefined,
      gives,
      airLPerH: n('airLPerH'),
      bubbleMm: before?.bubbleMm,
      depthM: n('depthM'),
      movedM2: n('movedM2'),
      loadW: n('loadW'),
      makerHours: n('makerHours'),
      directCurrent: battery ? direct : undefined,
      startsItself: starts !== 'HAND',
      canSwitchOff: starts === 'ITSELF',
      energy,
      cellSize: energy === 'DRY_CELLS' ? cellSize : undefined,
      cells: n('cells') === undefined ? undefined : Math.trunc(n('cells') ?? 0),
      upsW: n('upsW'),
      upsMinutes: n('upsMinutes'),
      wattHours: n('wattHours'),
      idleW: n('idleW'),
      inverterEfficiency: n('inverterEfficiency'),
      fuelL: n('fuelL'),
      idleLPerH: n('idleLPerH'),
      yearsOld: n('yearsOld'),
      // A run at another load or from another source says nothing about this one.
      ...(before && before.energy === energy && before.loadW === n('loadW')
        ? { testedHours: before.testedHours, testedOn: before.testedOn }
        : {}),
    };
    const saved = () => {
      tell(item ? 'Changed.' : 'In the kit.');
      done();
    };
    if (item)
      edit.mutate({ id: item.id, version: item.version, description }, { onSuccess: saved });
    else add.mutate(description, { onSuccess: saved });
  };
  return (
    <form
      onSubmit={save}
      noValidate
      className="grid gap-4 border-l-4 border-accent pl-4 md:grid-cols-3"
    >
      <Field
        label="What it is"
        value={text.name}
        onChange={set('name')}
        error={saving.error?.at('name')}
      />
      <Field label="Where it lies" value={text.place} onChange={set('place')} />
      <Field label="Who can use it" value={text.who} onChange={set('who')} />
      <Choice
        label="It gives"
        value={gives}
        onChange={(e) => setGives(e.target.value as KitDescription['gives'])}
        options={[
          { value: 'AIR', label: 'air through a stone' },
          { value: 'CIRCULATION', label: 'a moving surface' },
        ]}
      />
      {gives === 'AIR'
        ? [
            field('airLPerH', 'Air', 'L/h'),
            field(
              'depthM',
              'Stone lies at',
              undefined,
              `Empty: ${show(0.4, 'length', units)}, 2 mm bubbles (assumed).`,
            ),
          ]
        : field('movedM2', 'Surface that it moves')}
      {field('loadW', 'Its power', 'W', 'Empty: assumed by kind, 0.6 to 8 W. A zero is refused.')}
      <Choice
        label="Driven by"
        value={energy}
        onChange={(e) => {
          setEnergy(e.target.value as Energy);
          setStarts(e.target.value === 'UPS' ? 'TO_THE_END' : 'HAND');
        }}
        options={ENERGIES}
      />
      <Choice
        label="When the mains fail"
        value={starts}
        onChange={(e) => setStarts(e.target.value as Starts)}
        options={STARTS}
        hint="What cannot be switched off runs from the first minute until it is empty."
      />
      {energy === 'DRY_CELLS' && (
        <Choice
          label="Size of the cells"
          value={cellSize}
          onChange={(e) => setCellSize(e.target.value as typeof cellSize)}
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
          value={direct ? 'direct' : 'inverter'}
          onChange={(e) => setDirect(e.target.value === 'direct')}
          options={[
            { value: 'inverter', label: 'through an inverter' },
            { value: 'direct', label: 'on direct current' },
          ]}
        />
      )}
      {ASKED[energy]
        .filter((a) => !(direct && battery && INVERTER.has(a.key)))
        .map((a) => field(a.key, a.label, a.unit, a.hint))}
      {field(
        'makerHours',
        'Or its maker promises',
        'h',
        'Instead of the sum; half of it is counted on.',
      )}
      {field('yearsOld', 'Old', 'years', 'Empty: new.')}
      <Field label="Good until" type="date" value={text.expires ?? ''} onChange={set('expires')} />
      {tanks.length > 1 && (
        <Choice
          label="Kept for"
          value={keptFor}
          onChange={(e) => setKeptFor(e.target.value)}
          error={saving.error?.at('tankId')}
          options={[
            { value: '', label: 'whichever needs it' },
            ...tanks.map((t) => ({ value: t.id, label: t.description.name })),
            { value: SEVERAL, label: 'several at once, a central pump' },
          ]}
        />
      )}
      {keptFor === SEVERAL && (
        <fieldset className="md:col-span-2">
          <legend className="text-sm text-soft">
            It blows into (its air is divided by their volumes, assumed)
          </legend>
          {tanks.map((t) => (
            <label key={t.id} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-accent"
                checked={over.includes(t.id)}
                onChange={(e) =>
                  setOver(e.target.checked ? [...over, t.id] : over.filter((id) => id !== t.id))
                }
              />
              {t.description.name}
            </label>
          ))}
        </fieldset>
      )}
      {energy === 'GENERATOR' && (
        <p className="border-l-4 border-danger pl-3 md:col-span-3">
          ✕ Outdoors only, far from openings, never in a garage; refuelled cold; a carbon monoxide
          alarm indoors. Never fed back into the house: a licensed electrician fits a transfer
          switch.
        </p>
      )}
      {saving.error && (
        <p role="alert" className="font-semibold md:col-span-3">
          ✕ {saving.error.message}
        </p>
      )}
      <div className="flex gap-2 md:col-span-3">
        <Button
          look="main"
          type="submit"
          disabled={saving.isPending || (text.name ?? '').trim() === ''}
        >
          {item ? 'Save' : 'Into the kit'}
        </Button>
        <Button look="quiet" onClick={done}>
          not now
        </Button>
      </div>
    </form>
  );
}

/** Where the core names a number differently. */
const SAME: Record<string, string> = {
  airLPerH: 'backupAirLPerH',
  depthM: 'stoneDepthM',
  upsW: 'upsRatedW',
  upsMinutes: 'upsRatedMinutes',
  wattHours: 'batteryWh',
};
