import { useState } from 'react';
import {
  useEndSupply,
  useForgetEntry,
  useKeepSupply,
  useNoteSupply,
  useSupplies,
} from '../../api/supplies';
import type { NewSupplyEntry, Supplies, Supply, SupplyEntry } from '../../api/types';
import { STOCK_DAYS, SupplyDrawing } from '../../drawings/SupplyDrawing';
import { money } from '../../lib/money';
import { readNumber } from '../../lib/number';
import { dayAndTime, localDay, localInput } from '../../lib/time';
import { HowWorkedOut } from '../../parts/HowWorkedOut';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useWidth } from '../../parts/useWidth';
import { OpensSheet } from '../../parts/OpensSheet';
import { Sheet } from '../../parts/Sheet';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { RunningCost } from './RunningCost';
import {
  alike,
  amountOf,
  orderOn,
  shopping,
  suppliesVerdict,
  supplyReason,
  UNITS,
  type SupplyUnit,
} from './supplyWords';
import { SupplyForm } from './SupplyForm';

const DAY_MS = 86_400_000;
const NEWEST = 6;

/** Do → Supplies: what is in the home's cupboard, what must be bought, and what it costs to run this tank. */
export function SuppliesScreen() {
  const { tank } = useAtTank();
  const supplies = useSupplies(tank.homeId);
  if (!supplies.data)
    return <Waiting error={supplies.error} retry={() => void supplies.refetch()} />;
  return <Loaded supplies={supplies.data} now={supplies.dataUpdatedAt} />;
}

function Loaded({ supplies, now }: { supplies: Supplies; now: number }) {
  const [edited, setEdited] = useState<string>();
  const chosen = supplies.supplies.find((s) => s.id === edited);
  const list = supplies.supplies.filter((s) => s.buy > 0);
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-6">
      <div>
        <h1 aria-live="polite" className="text-2xl font-semibold">
          {suppliesVerdict(supplies)}
        </h1>
        {supplies.supplies.length === 0 ? (
          <p className="max-w-prose text-soft">
            Add powders, media, tests, stones and salt. From what your tanks use we say when to
            order more.
          </p>
        ) : (
          <>
            <p className="text-sm text-soft">
              Bars: how long each lasts, within {STOCK_DAYS} days. Triangle: order. For the whole
              home.
            </p>
            <HowWorkedOut>
              Computed use counts as right within {Math.round(100 * supplies.computedDoubt)} %, your
              counts within {Math.round(100 * supplies.countedDoubt)} % (both assumed). The triangle
              stands the days of delivery before the earlier end of that range.
            </HowWorkedOut>
          </>
        )}
      </div>
      {list.length > 0 && <ShoppingList list={list} currency={supplies.currency} />}
      <ul>
        {supplies.supplies.map((supply) => (
          <OneSupply
            key={supply.id}
            supply={supply}
            now={now}
            currency={supplies.currency}
            edit={() => setEdited(supply.id)}
          />
        ))}
      </ul>
      <OpensSheet
        says="Add a supply"
        about="What you have at home. We say when to order more."
        look={supplies.supplies.length === 0 ? 'main' : 'plain'}
      >
        {(close) => <SupplyForm close={close} />}
      </OpensSheet>
      <Sheet
        open={chosen !== undefined}
        onOpenChange={() => setEdited(undefined)}
        title={`Change ${chosen?.supply.name ?? ''}`}
        about="Its package, price and use."
      >
        <SupplyForm of={chosen} close={() => setEdited(undefined)} />
      </Sheet>
      {supplies.ended.length > 0 && <Ended supplies={supplies.ended} />}
      <RunningCost />
    </div>
  );
}

/** What lasts less than a fortnight and its delivery, in packages that last a quarter. */
function ShoppingList({ list, currency }: { list: readonly Supply[]; currency: string }) {
  const tell = useNotice();
  const lines = list.map((s) => shopping(s, currency));
  const sum = list.reduce((all, s) => all + s.buy * (s.supply.price ?? 0), 0);
  return (
    <section aria-labelledby="shopping" className="grid gap-2 border-t border-hairline pt-4">
      <h2 id="shopping" className="text-lg font-bold">
        To buy
        <span className="font-normal text-soft"> · enough for a quarter of a year</span>
      </h2>
      <ul className="list-[square] pl-5 text-lg">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-4 print:hidden">
        {sum > 0 && <span>{money(sum, currency)} in all</span>}
        <Button look="quiet" onClick={() => window.print()}>
          Print
        </Button>
        <Button
          look="quiet"
          onClick={() =>
            void navigator.clipboard
              .writeText(lines.join('\n'))
              .then(() => tell('Copied.'))
              .catch(() => tell('This browser does not allow copying. Print the list instead.'))
          }
        >
          Copy
        </Button>
      </div>
    </section>
  );
}

function OneSupply({
  supply: s,
  now,
  currency,
  edit,
}: {
  supply: Supply;
  now: number;
  currency: string;
  edit: () => void;
}) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  const [open, setOpen] = useState(false);
  const today = localDay(now, tank.zone);
  const orderIn = s.orderBy ? (Date.parse(s.orderBy) - Date.parse(today)) / DAY_MS : 0;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)] gap-2 border-t border-hairline py-4">
      <div className="grid items-start gap-x-8 gap-y-2 md:grid-cols-[minmax(0,1fr)_auto]">
        <div>
          <h2 className="text-lg leading-snug font-semibold">
            {s.supply.name}{' '}
            {s.orderBy && (
              <span className={s.late ? 'font-semibold' : 'font-normal text-soft'}>
                · {orderOn(s)}
              </span>
            )}
          </h2>
          <p className="text-soft">
            {supplyReason(s)}
            {s.perMonth !== undefined && s.perMonth > 0.05
              ? ` ${money(s.perMonth, currency, 1)} a month.`
              : ''}
          </p>
        </div>
        <Button
          look={s.late ? 'main' : 'plain'}
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          Counted or bought
        </Button>
      </div>
      <div ref={ref}>
        {width > 0 && <SupplyDrawing supply={s} orderInDays={orderIn} width={width} />}
      </div>
      {open && <Entries supply={s} edit={edit} />}
    </li>
  );
}

function Entries({ supply: s, edit }: { supply: Supply; edit: () => void }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const note = useNoteSupply(tank.homeId);
  const forget = useForgetEntry(tank.homeId);
  const end = useEndSupply(tank.homeId);
  const keep = useKeepSupply(tank.homeId);
  const [what, setWhat] = useState<NewSupplyEntry['what']>('COUNTED');
  const [amount, setAmount] = useState('');
  const [unit, setUnit] = useState<SupplyUnit>(s.supply.unit);
  const [at, setAt] = useState(() => localInput(new Date(), tank.zone));
  const [missing, setMissing] = useState<string>();
  const send = () => {
    const read = readNumber(amount);
    if (read === null) {
      setMissing('Enter a number.');
      return;
    }
    setMissing(undefined);
    note.mutate(
      { id: s.id, at, what, amount: read, unit },
      {
        onSuccess: (kept) => {
          setAmount('');
          tell('Added.', () => forget.mutate({ id: s.id, entryId: kept.id }));
        },
      },
    );
  };
  const again = (e: SupplyEntry) =>
    note.mutate({ id: s.id, at: e.at, what: e.what, amount: e.amount, unit: s.supply.unit });
  return (
    <div className="grid gap-3 pb-2">
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          send();
        }}
      >
        <Choice
          label="What"
          value={what}
          onChange={(e) => setWhat(e.target.value as typeof what)}
          options={[
            { value: 'COUNTED', label: 'counted: everything there is' },
            { value: 'BOUGHT', label: 'bought: added' },
          ]}
        />
        <Field
          label="How much"
          inputMode="decimal"
          value={amount}
          onChange={(e) => setAmount(e.target.value)}
          className="w-32"
        />
        <Choice
          label="in"
          value={unit}
          onChange={(e) => setUnit(e.target.value as SupplyUnit)}
          options={alike(s.supply.unit).map((u) => ({ value: u, label: UNITS[u] }))}
        />
        <When label="at" kind="moment" value={at} onChange={(e) => setAt(e.target.value)} />
        <Button type="submit" disabled={note.isPending}>
          Add
        </Button>
      </form>
      <Refusal message={missing ?? (note.error ?? forget.error ?? end.error)?.message} />
      <ul className="grid gap-x-8 md:grid-cols-2">
        {s.entries.slice(0, NEWEST).map((e) => (
          <li
            key={e.id}
            className="flex items-center justify-between gap-3 border-b border-hairline py-1"
          >
            <span>
              <span className="text-soft">{dayAndTime(e.at, tank.zone)}</span>{' '}
              {e.what === 'COUNTED' ? 'counted' : 'bought'} {amountOf(e.amount, s.supply.unit)}
            </span>
            <Button
              look="quiet"
              aria-label={`Remove the entry of ${dayAndTime(e.at, tank.zone)}`}
              onClick={() =>
                forget.mutate(
                  { id: s.id, entryId: e.id },
                  { onSuccess: () => tell('Removed.', () => again(e)) },
                )
              }
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-4">
        <Button look="quiet" onClick={edit}>
          Edit
        </Button>
        <Button
          look="quiet"
          onClick={() =>
            end.mutate(s.id, {
              onSuccess: () => tell('Removed from supplies.', () => keep.mutate(s.id)),
            })
          }
        >
          Remove
        </Button>
      </div>
    </div>
  );
}

function Ended({ supplies }: { supplies: readonly Supply[] }) {
  const { tank } = useAtTank();
  const keep = useKeepSupply(tank.homeId);
  return (
    <section aria-labelledby="ended" className="border-t border-hairline pt-4">
      <h2 id="ended" className="font-bold">
        Removed
      </h2>
      <ul>
        {supplies.map((s) => (
          <li key={s.id} className="flex flex-wrap items-center gap-x-4">
            <span>{s.supply.name}</span>
            <Button look="quiet" onClick={() => keep.mutate(s.id)}>
              Restore
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
