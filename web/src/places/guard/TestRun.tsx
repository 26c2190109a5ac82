import { useState } from 'react';
import { useEditKit } from '../../api/guard';
import type { KitItem } from '../../api/types';
import { readNumber } from '../../lib/number';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { useNotice } from '../../parts/Notices';
import { useAtTank } from '../../TankContext';

/** A run at the real load, step by step: pull the plug, watch, note the hours. */
export function TestRun({ item, done }: { item: KitItem; done: () => void }) {
  const { tank } = useAtTank();
  const edit = useEditKit(tank.homeId);
  const tell = useNotice();
  const [began, setBegan] = useState<number | null>(null);
  const [hours, setHours] = useState('');
  const value = readNumber(hours);
  const save = () => {
    const today = new Date().toISOString().slice(0, 10);
    void edit
      .mutateAsync({
        id: item.id,
        version: item.version,
        description: { ...item.description, testedHours: value ?? undefined, testedOn: today },
      })
      .then(() => {
        tell('Test saved.');
        done();
      })
      .catch(() => undefined);
  };
  return (
    <div className="grid gap-3">
      <ol className="list-decimal pl-5">
        <li>
          Charge the battery, or use the cells you keep for outages. Connect stone and tube as in an
          outage.
        </li>
        <li>Pick a day at home. With dry hands, pull the plug of the device, not of the tank.</li>
        <li>
          Check every half hour that air comes. Stop at once if the device gets hot, smells or
          swells.
        </li>
        <li>Enter the hours until it stopped, or as long as you watched.</li>
      </ol>
      <div className="flex flex-wrap items-end gap-3">
        {began === null ? (
          <Button onClick={() => setBegan(Date.now())}>Plug pulled: start the timer</Button>
        ) : (
          <Button onClick={() => setHours(((Date.now() - began) / 3.6e6).toFixed(2))}>
            It just stopped
          </Button>
        )}
        <Field
          label="Run time"
          inputMode="decimal"
          unit="h"
          value={hours}
          onChange={(e) => setHours(e.target.value)}
          error={hours !== '' && value === null ? 'Enter a number.' : edit.error?.at('testedHours')}
        />
        <Button look="main" disabled={value === null || edit.isPending} onClick={save}>
          Save test
        </Button>
        <Button look="quiet" onClick={done}>
          Cancel
        </Button>
      </div>
    </div>
  );
}
