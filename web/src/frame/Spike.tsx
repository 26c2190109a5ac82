import { useDue } from '../api/guard';
import { useAtTank } from '../TankContext';

/** Something in the water that harms now, in full: where new water is noted, and where tests are. */
export function Spike() {
  const { tank } = useAtTank();
  const due = useDue(tank.homeId).data?.find((d) => d.subject === 'SPIKE' && d.tankId === tank.id);
  return due ? (
    <p className="max-w-prose border-l-4 border-danger pl-3 text-lg font-semibold">■ {due.what}</p>
  ) : null;
}
