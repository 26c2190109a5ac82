import { useState } from 'react';
import type { Cut } from '../../../api/programme';
import type { ProgrammeDay } from '../../../api/types';
import { clockTime, startOfDay } from '../../../lib/time';
import { Choice, Field } from '../../../parts/Field';
import { Button } from '../../../parts/Button';
import { doesWords, pieceAt, whyWords } from './words';

const BACK = [
  { value: '10', label: 'after 10 minutes' },
  { value: '60', label: 'after an hour' },
  { value: '240', label: 'after four hours' },
  { value: '', label: 'not on this day' },
] as const;

const clock = (ms: number, zone: string) => {
  const hhmm = clockTime(new Date(ms).toISOString(), zone);
  const seconds = Math.floor(ms / 1000) % 60;
  return seconds === 0 ? hhmm : `${hhmm}:${String(seconds).padStart(2, '0')}`;
};

/** At the playhead: what each lane does, which rule won, and which it beat. */
export function AtMoment({
  day,
  at,
  zone,
  cut,
  setAt,
  setCut,
}: {
  day: ProgrammeDay;
  at: number;
  zone: string;
  cut?: Cut;
  setAt: (ms: number) => void;
  setCut: (cut?: Cut) => void;
}) {
  const [back, setBack] = useState<string>('60');
  const [text, setText] = useState<string>();
  const typed = (of: string) => {
    setText(of);
    if (!/^([01]?\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/.test(of)) return;
    const [h = 0, m = 0, s = 0] = of.split(':').map(Number);
    // By the clock: on a day that has another length the hours from midnight say something else.
    const plain = startOfDay(day.day, zone) + ((h * 60 + m) * 60 + s) * 1000;
    const shown = clockTime(new Date(plain).toISOString(), zone).split(':').map(Number);
    const off = (h - (shown[0] ?? h)) * 3_600_000;
    setAt(plain + off);
  };
  const fails = () =>
    setCut({
      from: new Date(at).toISOString(),
      until: back === '' ? undefined : new Date(at + Number(back) * 60_000).toISOString(),
    });
  return (
    <section aria-labelledby="at" className="grid content-start gap-3">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 id="at" className="text-lg font-bold">
          At {clock(at, zone)}
        </h2>
        <Field
          label="Another time"
          className="w-28 print:hidden"
          value={text ?? clock(at, zone)}
          onBlur={() => setText(undefined)}
          onChange={(e) => typed(e.target.value)}
        />
      </div>
      <table className="w-full border-collapse text-left">
        <thead className="sr-only">
          <tr>
            <th scope="col">lane</th>
            <th scope="col">does</th>
            <th scope="col">why</th>
          </tr>
        </thead>
        <tbody>
          {day.lanes.map((lane) => {
            const piece = pieceAt(lane, at);
            return piece ? (
              <tr key={lane.id} className="border-t border-hairline align-baseline">
                <th scope="row" className="py-1 pr-3 font-normal">
                  {lane.name}
                </th>
                <td className="py-1 pr-3 font-semibold">{doesWords(lane, piece, at, zone)}</td>
                <td className="py-1 text-sm text-soft">{whyWords(piece)}</td>
              </tr>
            ) : null;
          })}
        </tbody>
      </table>
      <div className="flex flex-wrap items-end gap-3 print:hidden">
        <Choice
          label="If the power failed now, and came back"
          className="w-80"
          value={back}
          options={BACK}
          onChange={(e) => setBack(e.target.value)}
        />
        <Button onClick={fails}>Draw it</Button>
        {cut && (
          <Button look="quiet" onClick={() => setCut(undefined)}>
            with power again
          </Button>
        )}
      </div>
      {cut && (
        <p className="text-sm text-soft">
          The power is away where it is hatched. For half an hour after it each lane does what it
          does after power; dosers wait until somebody saw that the return runs.
        </p>
      )}
    </section>
  );
}
