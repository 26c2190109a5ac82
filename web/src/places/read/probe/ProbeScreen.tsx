import { useDropCalibration, useProbe } from '../../../api/probe';
import type { Calibration, Probe } from '../../../api/types';
import { ProbeDrawing } from '../../../drawings/ProbeDrawing';
import { signed } from '../../../lib/number';
import { dayAndTime } from '../../../lib/time';
import { METHOD } from '../../../lib/units';
import { HowWorkedOut } from '../../../parts/HowWorkedOut';
import { Button } from '../../../parts/Button';
import { useNotice } from '../../../parts/Notices';
import { useWidth } from '../../../parts/useWidth';
import { Waiting } from '../../../parts/Waiting';
import { useAtTank } from '../../../TankContext';
import { BesideIt } from './BesideIt';
import { CalibrationForm } from './CalibrationForm';
import { GlassOfAir } from './GlassOfAir';
import { CONDITION, METER, stands } from './words';

/** Read → Probe: can the number be believed? */
export function ProbeScreen() {
  const { tank } = useAtTank();
  const probe = useProbe(tank.id);
  if (!probe.data) return <Waiting error={probe.error} retry={() => void probe.refetch()} />;
  return <Loaded probe={probe.data} />;
}

function Loaded({ probe }: { probe: Probe }) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <div className="grid content-start gap-6">
        <section aria-labelledby="probe" className="grid gap-2">
          <h1 id="probe" className="text-xl font-bold">
            The pH probe
          </h1>
          <p className="max-w-prose text-2xl leading-snug font-semibold">{stands(probe)}</p>
          {probe.due && (
            <p className={probe.late ? 'border-l-4 border-alk pl-3' : 'text-soft'}>
              {probe.late ? 'Calibration overdue since ' : 'Calibration due on '}
              {dayAndTime(probe.due, tank.zone)} (monthly, common practice).
              {probe.since && ` In the water since ${dayAndTime(probe.since, tank.zone)}.`}
            </p>
          )}
          <div ref={ref}>
            {width > 0 && probe.course.length > 0 && (
              <ProbeDrawing probe={probe} zone={tank.zone} width={width} />
            )}
          </div>
          {probe.course.length > 0 && (
            <>
              <p className="text-sm text-soft">
                Correction at pH 8.2. Dots: your calibrations. Hatched: how far off it may be.
                {probe.compared.length > 0 && ' Triangles: another method at the same hour.'}
              </p>
              <HowWorkedOut>
                The possible error is ±0.02 at first, 0.01 more a week, ±0.15 at most (from memory).
                Drift is spread evenly between dots. The log keeps the original readings.
              </HowWorkedOut>
            </>
          )}
        </section>
        <Kept calibrations={probe.calibrations} />
        {probe.compared.map((c) => (
          <p key={c.method}>
            <strong className="first-letter:uppercase">{METHOD[c.method]}</strong> beside it,{' '}
            {c.pairs.length} {c.pairs.length === 1 ? 'time' : 'times'}:{' '}
            {signed(c.meanDifference, 2)} on average.
          </p>
        ))}
      </div>
      <div className="grid content-start gap-8 lg:row-span-2">
        <CalibrationForm buffers={probe.buffers} />
      </div>
      <div className="grid content-start gap-8 sm:grid-cols-2">
        <GlassOfAir />
        <BesideIt />
      </div>
    </div>
  );
}

function Kept({ calibrations }: { calibrations: readonly Calibration[] }) {
  const { tank } = useAtTank();
  const drop = useDropCalibration(tank.id);
  const tell = useNotice();
  if (calibrations.length === 0) return null;
  return (
    <section aria-labelledby="kept">
      <h2 id="kept" className="font-bold">
        Calibrations
      </h2>
      <ul>
        {calibrations.map((c) => (
          <li key={c.at} className="flex items-baseline justify-between gap-4 border-b py-1.5">
            <span>
              <span className="font-semibold">{dayAndTime(c.at, tank.zone)}</span>{' '}
              {c.tooMuchPh !== undefined && `read ${signed(c.tooMuchPh, 2)} at 8.2, `}
              {c.slopePercent !== undefined && `slope ${c.slopePercent.toFixed(0)} %, `}
              {c.offsetMv !== undefined && `offset ${signed(c.offsetMv, 0)} mV. `}
              <span className="text-soft">
                {CONDITION[c.condition]} {METER[c.meter]}
                {c.note && ` ${c.note}`}
              </span>
            </span>
            {c.id && (
              <Button
                look="quiet"
                className="md:min-h-6!"
                aria-label={`Delete the one of ${dayAndTime(c.at, tank.zone)}`}
                disabled={drop.isPending}
                onClick={() =>
                  c.id &&
                  drop.mutate(c.id, {
                    onSuccess: () => tell('Deleted.'),
                    onError: (problem) => tell(problem.message),
                  })
                }
              >
                Delete
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
