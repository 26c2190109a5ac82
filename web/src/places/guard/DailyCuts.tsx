import { useState } from 'react';
import { useCuts } from '../../api/guard';
import { Problem } from '../../api/client';
import { readNumber } from '../../lib/number';
import { Field } from '../../parts/Field';
import { When } from '../../parts/When';

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
        Power cuts at the same hours every day
      </h2>
      <div className="flex flex-wrap gap-4">
        <When
          label="From"
          kind="time"
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
          error={hours === null ? 'Enter a number.' : wrong('hours')}
        />
      </div>
      {cuts.data && from !== '' && !cuts.error && (
        <>
          <table className="w-full text-left">
            <thead className="text-sm text-soft">
              <tr>
                <th className="font-normal">lowest oxygen, earliest to likely, mg/L</th>
                <th className="font-normal">without kit</th>
                <th className="font-normal">with your kit</th>
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
                  ? 'does not last one cut'
                  : k.cuts === 1
                    ? 'lasts one cut. Recharge or change cells before the next'
                    : `lasts ${k.cuts} cuts on one charge`}
              </li>
            ))}
          </ul>
          <p className="text-sm text-soft">
            For an ordinary day of your tank at that hour, in a room as warm as a summer night
            (assumed). Check that batteries are full again before the next cut.
          </p>
        </>
      )}
    </section>
  );
}
