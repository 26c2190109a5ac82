import { useState } from 'react';
import type { ScheduleDay } from '../../../api/types';
import { localInput, startOfDay } from '../../../lib/time';
import { Field } from '../../../parts/Field';
import { useBringPlayhead, usePlayhead } from './playhead';
import { doesWords, pieceAt, whyWords } from './words';

/** To the second, by a clock of 24 hours: it is typed again. */
const clock = (ms: number, zone: string) => {
  const hhmm = localInput(new Date(ms), zone).slice(11);
  const seconds = Math.floor(ms / 1000) % 60;
  return seconds === 0 ? hhmm : `${hhmm}:${String(seconds).padStart(2, '0')}`;
};

/** At the playhead: what each lane does, which rule won, and which it beat. */
export function AtMoment({
  day,
  first,
  zone,
}: {
  day: ScheduleDay;
  /** Where the playhead is at first. */
  first: number;
  zone: string;
}) {
  const at = usePlayhead(first);
  const setAt = useBringPlayhead();
  const [text, setText] = useState<string>();
  const typed = (of: string) => {
    setText(of);
    if (!/^([01]?\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/.test(of)) return;
    const [h = 0, m = 0, s = 0] = of.split(':').map(Number);
    // By the clock: on a day that has another length the hours from midnight say something else.
    const plain = startOfDay(day.day, zone) + ((h * 60 + m) * 60 + s) * 1000;
    const shown = localInput(new Date(plain), zone).slice(11).split(':').map(Number);
    const off = (h - (shown[0] ?? h)) * 3_600_000;
    setAt(plain + off);
  };
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
            <th scope="col">device</th>
            <th scope="col">state</th>
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
    </section>
  );
}
