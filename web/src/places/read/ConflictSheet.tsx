import type { Problem } from '../../api/client';
import type { Reading } from '../../api/types';
import { useHelper } from '../../frame/useHelper';
import { dayAndTime } from '../../lib/time';
import { RAW_UNIT } from '../../lib/units';
import { Button } from '../../parts/Button';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';

interface Conflict {
  stored: Reading;
  offered: number;
}

/** Another value is stored for that time: both are shown, the keeper decides. */
export function ConflictSheet({
  problem,
  replace,
  close,
}: {
  problem: Problem;
  replace: () => void;
  close: () => void;
}) {
  const { tank } = useAtTank();
  const helper = useHelper();
  const conflicts = (problem.extra.conflicts ?? []) as Conflict[];
  return (
    <Sheet open onOpenChange={close} title="Another value is stored" about={problem.message}>
      <table className="w-full text-left text-lg">
        <thead className="text-sm text-soft">
          <tr>
            <th className="py-1 font-normal">Time</th>
            <th className="font-normal">Stored</th>
            <th className="font-normal">Yours</th>
          </tr>
        </thead>
        <tbody>
          {conflicts.map(({ stored, offered }) => (
            <tr key={stored.id} className="border-t">
              <td className="py-2">{dayAndTime(stored.at, tank.zone)}</td>
              <td>
                {stored.value} {RAW_UNIT[stored.unit].label}
              </td>
              <td className="font-bold">
                {offered} {RAW_UNIT[stored.unit].label}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex gap-3 pt-5">
        {helper ? (
          <p>Only the keeper may replace it.</p>
        ) : (
          <Button look="main" onClick={replace}>
            Replace with mine
          </Button>
        )}
        <Button onClick={close}>Keep the stored value</Button>
      </div>
    </Sheet>
  );
}
