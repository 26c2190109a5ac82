import { useState } from 'react';
import { useAddSupply, useEditSupply, useEndSupply } from '../../api/supplies';
import { useUpkeep } from '../../api/upkeep';
import type { NewSupply, Supply } from '../../api/types';
import { plain, readNumber } from '../../lib/number';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useAtTank } from '../../TankContext';
import { POWDERS, UNITS, unitsOf, USES, type SupplyUnit } from './supplyWords';
import { taskTitle } from './upkeepWords';

const TESTED = [
  { value: 'ALKALINITY', label: 'alkalinity' },
  { value: 'CALCIUM', label: 'calcium' },
  { value: 'POTASSIUM', label: 'potassium' },
  { value: 'MAGNESIUM', label: 'magnesium' },
  { value: 'AMMONIA', label: 'ammonia' },
  { value: 'NITRITE', label: 'nitrite' },
  { value: 'SALINITY', label: 'salinity' },
] as const;

/** A new supply, or another description of one that is kept. */
export function SupplyForm({ of, close }: { of?: Supply; close: () => void }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const add = useAddSupply(tank.homeId);
  const edit = useEditSupply(tank.homeId);
  const end = useEndSupply(tank.homeId);
  const upkeep = useUpkeep(tank.id);
  const was = of?.supply;
  const [uses, setUses] = useState<NewSupply['uses']>(was?.uses ?? 'POWDER');
  const [name, setName] = useState(was?.name ?? '');
  const [solute, setSolute] = useState(was?.solute ?? 'LIMEWATER');
  const [quantity, setQuantity] = useState(was?.quantity ?? 'ALKALINITY');
  const [chore, setChore] = useState(was?.chore ?? 'AIR_STONE');
  const [own, setOwn] = useState(was?.ownPerDay === undefined ? '' : plain(was.ownPerDay, 4));
  const [each, setEach] = useState(plain(was?.perUse ?? 1, 2));
  const [unit, setUnit] = useState<SupplyUnit>(was?.unit ?? 'G');
  const [packed, setPacked] = useState(was ? plain(was.packageAmount, 2) : '');
  const [price, setPrice] = useState(was?.price === undefined ? '' : plain(was.price, 2));
  const [days, setDays] = useState(plain(was?.deliveryDays ?? 5, 1));
  const [missing, setMissing] = useState<string>();
  const units = unitsOf(uses);
  const kept = units.includes(unit) ? unit : (units[0] ?? 'PIECES');
  const chores = [
    ...(upkeep.data?.tasks.map((t) => t.kind) ?? []),
    ...(upkeep.data?.more ?? []),
  ].filter((k, i, all) => all.findIndex((other) => other.chore === k.chore) === i);
  const save = () => {
    const packageAmount = readNumber(packed);
    const deliveryDays = readNumber(days);
    const ownPerDay = readNumber(own);
    if (name.trim() === '' || packageAmount === null || deliveryDays === null) {
      setMissing('Enter a name, the package size and the days of delivery.');
      return;
    }
    if (uses === 'OWN' && ownPerDay === null) {
      setMissing('Enter how much you use a day.');
      return;
    }
    setMissing(undefined);
    const body: NewSupply = {
      name,
      uses,
      solute: uses === 'POWDER' ? solute : undefined,
      quantity: uses === 'TESTS' ? quantity : undefined,
      chore: uses === 'CHORE' ? chore : undefined,
      ownPerDay: uses === 'OWN' ? (ownPerDay ?? undefined) : undefined,
      perUse: readNumber(each) ?? undefined,
      unit: kept,
      packageAmount,
      price: readNumber(price) ?? undefined,
      deliveryDays,
    };
    const saved =
      of && was
        ? edit
            .mutateAsync({ id: of.id, ...body })
            .then(() => tell('Changed.', () => edit.mutate({ id: of.id, ...was })))
        : add.mutateAsync(body).then((made) => {
            tell('Added. Now count how much you have.', () => end.mutate(made.id));
          });
    void saved.then(close).catch(() => undefined);
  };
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="What"
          value={uses}
          onChange={(e) => setUses(e.target.value as NewSupply['uses'])}
          options={(Object.keys(USES) as NewSupply['uses'][]).map((value) => ({
            value,
            label: USES[value],
          }))}
        />
        {uses === 'POWDER' && (
          <Choice
            label="which"
            value={solute}
            onChange={(e) => setSolute(e.target.value as typeof solute)}
            options={POWDERS}
          />
        )}
        {uses === 'TESTS' && (
          <Choice
            label="of"
            value={quantity}
            onChange={(e) => setQuantity(e.target.value as typeof quantity)}
            options={TESTED}
          />
        )}
        {uses === 'CHORE' && (
          <Choice
            label="for"
            className="w-full md:w-80"
            value={chore}
            onChange={(e) => setChore(e.target.value as typeof chore)}
            options={chores.map((kind) => ({
              value: kind.chore,
              label: taskTitle({ kind, name: '' }),
            }))}
          />
        )}
        <Field
          label="Name"
          value={name}
          maxLength={80}
          onChange={(e) => setName(e.target.value)}
          className="w-56"
        />
        {uses === 'OWN' && (
          <Field
            label="Use a day"
            inputMode="decimal"
            unit={UNITS[kept]}
            value={own}
            onChange={(e) => setOwn(e.target.value)}
            className="w-36"
          />
        )}
        {(uses === 'TESTS' || uses === 'CHORE') && (
          <Field
            label="Pieces each time"
            inputMode="decimal"
            value={each}
            onChange={(e) => setEach(e.target.value)}
            className="w-36"
          />
        )}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label="A package holds"
          inputMode="decimal"
          value={packed}
          onChange={(e) => setPacked(e.target.value)}
          className="w-36"
        />
        <Choice
          label="in"
          value={kept}
          onChange={(e) => setUnit(e.target.value as SupplyUnit)}
          options={units.map((u) => ({ value: u, label: UNITS[u] }))}
        />
        <Field
          label="Price (optional)"
          inputMode="decimal"
          unit={tank.currency}
          value={price}
          onChange={(e) => setPrice(e.target.value)}
          className="w-52"
        />
        <Field
          label="Delivery takes"
          inputMode="decimal"
          unit="days"
          value={days}
          onChange={(e) => setDays(e.target.value)}
          className="w-36"
        />
        <Button look="main" onClick={save} disabled={add.isPending || edit.isPending}>
          {of ? 'Save' : 'Add'}
        </Button>
      </div>
      <Refusal message={missing ?? (add.error ?? edit.error)?.message} />
    </div>
  );
}
