import { Link } from '@tanstack/react-router';
import { buttonLook } from '../../parts/Button';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';

/** How to check a probe; the reading afterwards counts with a third of the doubt. */
export function ProbeCheck({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const { tank } = useAtTank();
  return (
    <Sheet
      open={open}
      onOpenChange={onOpenChange}
      title="Check the probe"
      about="Five minutes, two fresh buffers. A correct probe reduces the error from ±0.10 to ±0.03 (assumed)."
    >
      <ol className="grid list-decimal gap-2 pl-6 text-lg">
        <li>
          Unplug pumps and heaters before you put your hands in the water. Remove the probe and
          rinse it.
        </li>
        <li>
          Put the probe in the pH 7 buffer until the reading is stable, then in the pH 10 buffer.
          Buffer values depend on temperature: read the table on the bottle.
        </li>
        <li>
          Enter both readings under{' '}
          <Link
            to="/tank/$tankId/probe"
            params={{ tankId: tank.id }}
            className="underline underline-offset-4"
          >
            Probe
          </Link>
          : every reading is corrected by it. A meter that can set itself may do so.
        </li>
        <li>Rinse the probe, put it back, wait ten minutes, and read the tank again.</li>
      </ol>
      <p className="pt-3 text-soft">Pour used buffer away, never into the bottle or the tank.</p>
      <Link
        to="/tank/$tankId/add-to-log"
        params={{ tankId: tank.id }}
        search={{ measure: 'PH', checked: true }}
        className={`${buttonLook('main')} mt-5`}
      >
        Add the pH of the checked probe
      </Link>
    </Sheet>
  );
}
