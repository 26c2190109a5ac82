import { useState } from 'react';
import {
  useAddConsumer,
  useDropConsumer,
  useEditConsumer,
  useRunningCost,
} from '../../api/running';
import type { Consumer, RunningCosts } from '../../api/types';
import { RunningDrawing } from '../../drawings/RunningDrawing';
import { money } from '../../lib/money';
import { plain, readNumber } from '../../lib/number';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { Refusal } from '../../parts/Refusal';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';

/** Device, and what that costs. */
export function RunningCost() {
  const { tank } = useAtTank();
  const costs = useRunningCost(tank.id);
  if (!costs.data) return <Waiting error={costs.error} retry={() => void costs.refetch()} />;
  return <Loaded costs={costs.data} />;
}

function Loaded({ costs }: { costs: RunningCosts }) {
  const [ref, width] = useWidth();
  const [edited, setEdited] = useState<string>();
  const chosen = costs.consumers.find((c) => c.id === edited);
  return (
    <section
      aria-labelledby="running"
      className="grid grid-cols-[minmax(0,1fr)] gap-3 border-t border-hairline pt-4"
    >
      <h2 id="running" className="text-lg font-bold">
        Running cost
      </h2>
      {costs.consumers.length === 0 ? (
        <>
          <p className="max-w-prose text-soft">
            Add what uses power: watts at the plug and hours a day.
          </p>
          <Consumed costs={costs} />
        </>
      ) : (
        <>
          <p className="text-2xl font-semibold">
            {money(costs.perMonth, costs.currency)} a month, {money(costs.perYear, costs.currency)}{' '}
            a year{' '}
            <span className="text-base font-normal text-soft">
              · {Math.round(costs.kWhPerYear)} kWh at {money(costs.tariffPerKWh, costs.currency, 3)}{' '}
              each{costs.tariffAssumed ? ', which is assumed' : ''}
            </span>
          </p>
          <Consumed costs={costs} />
          <div ref={ref}>
            {width > 0 && (
              <RunningDrawing
                consumers={costs.consumers}
                says={(c) =>
                  `${plain(c.watts, 1)} W, ${c.hoursPerDay === 24 ? 'all day' : `${plain(c.hoursPerDay, 1)} h a day`}: ${money(c.perMonth, costs.currency)} a month`
                }
                width={width}
              />
            )}
          </div>
          <div className="flex flex-wrap gap-x-4">
            {costs.consumers.map((c) => (
              <Button key={c.id} look="quiet" onClick={() => setEdited(c.id)}>
                change {c.name}
              </Button>
            ))}
          </div>
        </>
      )}
      <ConsumerForm
        key={chosen?.id ?? 'new'}
        consumer={chosen}
        close={() => setEdited(undefined)}
      />
    </section>
  );
}

/** What is used up has its part in it. */
function Consumed({ costs }: { costs: RunningCosts }) {
  return costs.consumed.length === 0 ? null : (
    <p className="max-w-prose">
      Power costs {money(costs.powerPerMonth, costs.currency)} a month, supplies{' '}
      {costs.consumed.map((c) => `${c.name} ${money(c.perMonth, costs.currency, 1)}`).join(', ')}.
    </p>
  );
}

function ConsumerForm({ consumer, close }: { consumer?: Consumer; close: () => void }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const add = useAddConsumer(tank.id);
  const edit = useEditConsumer(tank.id);
  const drop = useDropConsumer(tank.id);
  const [name, setName] = useState(consumer?.name ?? '');
  const [watts, setWatts] = useState(consumer ? plain(consumer.watts) : '');
  const [hours, setHours] = useState(consumer ? plain(consumer.hoursPerDay) : '24');
  const [missing, setMissing] = useState<string>();
  const before = consumer && {
    name: consumer.name,
    watts: consumer.watts,
    hoursPerDay: consumer.hoursPerDay,
  };
  const save = () => {
    const w = readNumber(watts);
    const h = readNumber(hours);
    if (name.trim() === '' || w === null || h === null) {
      setMissing('Enter a name, watts and hours.');
      return;
    }
    setMissing(undefined);
    const body = { name, watts: w, hoursPerDay: h };
    const saved =
      consumer && before
        ? edit
            .mutateAsync({ id: consumer.id, ...body })
            .then(() => tell('Changed.', () => edit.mutate({ id: consumer.id, ...before })))
        : add.mutateAsync(body).then((kept) => {
            setName('');
            setWatts('');
            tell('Added.', () => drop.mutate(kept.id));
          });
    void saved.then(close).catch(() => undefined);
  };
  const forget = () =>
    consumer &&
    before &&
    void drop
      .mutateAsync(consumer.id)
      .then(() => {
        tell('Removed.', () => add.mutate(before));
        close();
      })
      .catch(() => undefined);
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label="Device"
          className="w-full md:w-64"
          maxLength={80}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Field
          label="At the plug"
          unit="W"
          inputMode="decimal"
          className="w-32"
          value={watts}
          onChange={(e) => setWatts(e.target.value)}
        />
        <Field
          label="Running"
          unit="h a day"
          inputMode="decimal"
          className="w-40"
          value={hours}
          onChange={(e) => setHours(e.target.value)}
        />
        <Button onClick={save} disabled={add.isPending || edit.isPending}>
          {consumer ? 'Save' : 'Add'}
        </Button>
        {consumer && (
          <Button look="quiet" onClick={forget} disabled={drop.isPending}>
            Remove
          </Button>
        )}
      </div>
      <Refusal message={missing ?? (add.error ?? edit.error ?? drop.error)?.message} />
    </div>
  );
}
