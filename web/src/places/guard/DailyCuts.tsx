import { useState } from 'react';
import { useCuts } from '../../api/guard';
import { Problem } from '../../api/client';
import { readNumber } from '../../lib/number';
import { Field } from '../../parts/Field';

/** Where the power is cut at the same hours every day. */
export function DailyCuts({ homeId }: { homeId: string }) {
  const [from, setFrom] = useState('');
  const [text, setText] = useState('4');
  const hours = readNumber(text);
  const cuts = useCuts(homeId, from, hours);
  const wrong = (field: string) =>
    cuts.error instanceof Problem ? cuts.error.at(field) : undefined;
  const low = (mgPerL: number, danger: number) => (
    <span className={mgPerL < danger ? 'font-semibold text-danger' : ''}>
      {mgPerL < danger && '✕ '}
      {mgPerL.toFixed(1)}
    </span>
  );
  return (
    <section aria-labelledby="cuts" className="grid gap-3 border-t pt-4">
      <h2 id="cuts" className="text-lg font-bold">
        Cuts at the same hours every day
      </h2>
      <div className="flex flex-wrap gap-4">
        <Field
          label="From"
          type="time"
          value={from}
          onChange={(e) => setFrom(e.target.value)}
          error={wrong('from')}
        />
        <Field
          label="for"
          unit="h"
          inputMode="decimal"
          value={text}
          onChange={(e) => setText(e.target.value)}
          error={hours === null ? 'This is not a number.' : wrong('hours')}
        />
      </div>
      {cuts.data && from !== '' && !cuts.error && (
        <>
          <table className="w-full text-left">
            <thead className="text-sm text-soft">
              <tr>
                <th className="font-normal">lowest oxygen, early to likely, mg/L</th>
                <th className="font-normal">with nothing</th>
                <th className="font-normal">with the kit</th>
              </tr>
            </thead>
            <tbody>
              {cuts.data.tanks.map((t) => (
                <tr key={t.tankId} className="border-t">
                  <td className="py-1.5 font-semibold">{t.name}</td>
                  <td>
                    {low(t.bareEarly, cuts.data.danger)} to {low(t.bareLikely, cuts.data.danger)}
                  </td>
                  <td>
                    {low(t.keptEarly, cuts.data.danger)} to {low(t.keptLikely, cuts.data.danger)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <ul>
            {cuts.data.kit.map((k) => (
              <li key={k.name}>
                {k.name}:{' '}
                {k.cuts === 0
                  ? 'does not last one such cut'
                  : k.cuts === 1
                    ? 'lasts one cut; charge it or change its cells before the next'
                    : `lasts ${k.cuts} cuts before fresh energy`}
              </li>
            ))}
          </ul>
          <p className="text-sm text-soft">
            From the twin’s ordinary day at that hour, in a room as warm as a summer night
            (assumed). What is charged needs to be full again by the next cut: look at its lamp.
          </p>
        </>
      )}
    </section>
  );
}
