import { useState } from 'react';
import { useAddKit, useDeleteKit } from '../../api/guard';
import type { KitItem } from '../../api/types';
import { useHelper } from '../../frame/useHelper';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/Notices';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';
import { KitForm } from './KitForm';
import { hoursDown, spanDown } from './outageTime';
import { TestRun } from './TestRun';

export type KitSheet = { what: 'add' } | { what: 'edit' | 'test'; item: KitItem };

/** What aerates or moves water without mains, a line each. */
export function Kit({ kit, show }: { kit: readonly KitItem[]; show: (sheet: KitSheet) => void }) {
  const helper = useHelper();
  return (
    <section aria-labelledby="kit" className="grid gap-1 border-t pt-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 id="kit" className="text-lg font-bold">
          Your kit
        </h2>
        {!helper && <Button onClick={() => show({ what: 'add' })}>Add equipment</Button>}
      </div>
      {kit.length === 0 && (
        <p className="max-w-prose text-soft">
          Equipment that aerates or moves water without mains power: battery air pumps, a UPS, an
          inverter, a generator. Air comes first. Filter and heat can wait a few hours.
        </p>
      )}
      <ul>
        {kit.map((item) => (
          <Thing key={item.id} item={item} show={show} />
        ))}
      </ul>
    </section>
  );
}

function Thing({ item, show }: { item: KitItem; show: (sheet: KitSheet) => void }) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const drop = useDeleteKit(tank.homeId);
  const add = useAddKit(tank.homeId);
  const tell = useNotice();
  const d = item.description;
  const { early, likely, late, tested } = item.runTime;
  return (
    <li className="border-b py-1.5">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_7rem_6rem_auto]">
        <strong>{d.name}</strong>
        <span className="text-soft max-md:col-start-1 max-md:row-start-2">
          {[d.place, d.who, item.startsItself ? 'starts by itself' : 'by hand']
            .filter(Boolean)
            .join(', ')}
          {(d.loadW === undefined || d.loadW === 0) && `, ${item.watts} W assumed`}
        </span>
        <strong className="max-md:text-right">
          {tested ? hoursDown(likely) : spanDown(early, late)}
        </strong>
        <span className={`max-md:text-right ${tested ? 'text-accent' : 'text-co2'}`}>
          {tested ? 'tested' : 'not tested'}
        </span>
        {!helper && (
          <span className="flex gap-2 max-md:col-span-2">
            <Button look="quiet" onClick={() => show({ what: 'test', item })}>
              Test
            </Button>
            <Button
              look="quiet"
              aria-label={`Edit ${d.name}`}
              onClick={() => show({ what: 'edit', item })}
            >
              Edit
            </Button>
            <Button
              look="quiet"
              aria-label={`Remove ${d.name}`}
              onClick={() =>
                drop.mutate(item.id, {
                  onSuccess: () => tell(`${d.name} removed.`, () => add.mutate(d)),
                })
              }
            >
              ✕
            </Button>
          </span>
        )}
      </div>
      {likely === 0 && !tested && (
        <p className="border-l-4 border-danger pl-3">
          ✕ Overloaded: {item.watts} W is too much. It would switch off at once.
        </p>
      )}
      {d.energy === 'UPS' && d.upsW !== undefined && d.upsMinutes !== undefined && !tested && (
        <p className="text-sm text-soft">
          By the label ({d.upsW} W for {d.upsMinutes} min) you would expect{' '}
          {((d.upsW * d.upsMinutes) / 60 / item.watts).toFixed(1)} h at {item.watts} W. But the
          inverter itself uses 5–8 W.
        </p>
      )}
    </li>
  );
}

const TITLE = { add: 'Add equipment', edit: 'Edit', test: 'Test' };
const ABOUT = {
  add: 'Equipment that aerates or moves water without mains power.',
  edit: 'Hours and plans change with it at once.',
  test: 'One run at the real load. Afterwards we plan with your hours instead of the label’s.',
};

/** A thing described or tested, beside the page. */
export function KitSheets({ sheet, close }: { sheet: KitSheet | null; close: () => void }) {
  // What it held stays while the sheet goes.
  const [last, setLast] = useState(sheet);
  if (sheet && sheet !== last) setLast(sheet);
  const shown = sheet ?? last;
  return (
    <Sheet
      open={sheet !== null}
      onOpenChange={(open) => !open && close()}
      title={
        shown && shown.what !== 'add'
          ? `${TITLE[shown.what]} ${shown.item.description.name}`
          : TITLE.add
      }
      about={ABOUT[shown?.what ?? 'add']}
    >
      {shown?.what === 'test' ? (
        <TestRun item={shown.item} done={close} />
      ) : (
        <KitForm item={shown?.what === 'edit' ? shown.item : undefined} done={close} />
      )}
    </Sheet>
  );
}
