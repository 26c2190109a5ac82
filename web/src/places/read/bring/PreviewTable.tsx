import type { Preview } from '../../../api/types';
import { dayAndTime } from '../../../lib/time';
import { RAW_UNIT } from '../../../lib/units';
import { useAtTank } from '../../../TankContext';
import { NAMES, PLACE } from '../names';

const SHOWN = 14;

/** The first readings as they would stand in the log. */
export function PreviewTable({
  preview,
  error,
  clockAsked,
}: {
  preview: Preview | undefined;
  error: Error | null;
  clockAsked: boolean;
}) {
  const { tank } = useAtTank();
  return (
    <section aria-labelledby="preview" className="lg:border-l lg:pl-8">
      <h2 id="preview" className="pb-1 text-xl font-bold">
        Preview
      </h2>
      {error && (
        <p role="alert" className="font-semibold">
          ✕ {error.message}
        </p>
      )}
      {!preview && !error && (
        <p className="text-soft">Choose what the columns are to see the first readings here.</p>
      )}
      {preview && (
        <>
          {clockAsked && <p className="text-soft">Times as if the logger used local time.</p>}
          <table className="w-full">
            <thead className="sr-only">
              <tr>
                <th>Time</th>
                <th>What</th>
                <th>Value</th>
              </tr>
            </thead>
            <tbody>
              {preview.readings.slice(0, SHOWN).map((r, i) => (
                <tr key={i} className="border-b">
                  <td className="py-1 pr-3 whitespace-nowrap">{dayAndTime(r.at, tank.zone)}</td>
                  <td className="pr-3 text-soft">
                    {NAMES[RAW_UNIT[r.unit].quantity]}
                    {PLACE[r.place]}
                  </td>
                  <td className="text-right font-semibold whitespace-nowrap">
                    {r.value} <span className="font-normal">{RAW_UNIT[r.unit].label}</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {preview.readings.length === 0 && <p>No reading in the first lines.</p>}
          {preview.bad.length > 0 && (
            <>
              <h3 className="pt-4 pb-1 font-bold">Not understood</h3>
              <BadLines lines={preview.bad} />
            </>
          )}
        </>
      )}
    </section>
  );
}

/** Lines that could not be taken, with why. */
export function BadLines({ lines }: { lines: Preview['bad'] }) {
  return (
    <ul>
      {lines.map((b, i) => (
        <li key={i} className="border-b py-1">
          <span className="font-semibold">line {b.line}</span>: {b.reason}
          <code className="block overflow-hidden text-sm text-ellipsis whitespace-nowrap text-soft">
            {b.text}
          </code>
        </li>
      ))}
    </ul>
  );
}
