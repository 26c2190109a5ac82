import { useState } from 'react';
import { useDropCalibration, useKeepCalibration, useLook } from '../../../api/probe';
import type { Calibration, NewCalibration, Probe, Units } from '../../../api/types';
import { useTyped } from '../../../lib/kept';
import { measure, readAs, typed } from '../../../lib/measure';
import { signed } from '../../../lib/number';
import { localInput } from '../../../lib/time';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { When } from '../../../parts/When';
import { useNotice } from '../../../parts/Notices';
import { OneOf } from '../../../parts/OneOf';
import { Refusal } from '../../../parts/Refusal';
import { Tick } from '../../../parts/Tick';
import { useAtTank } from '../../../TankContext';
import { BUFFERS, calibration, standard, valueAt, type BufferName, type Typed } from './buffers';
import { CONDITION, moves } from './words';

const METERS: readonly { value: Calibration['meter']; label: string }[] = [
  { value: 'LEFT_AS_IT_WAS', label: 'left the meter unchanged' },
  { value: 'SET_ITSELF', label: 'calibrated the meter' },
  { value: 'NEW_PROBE', label: 'installed a new probe' },
];

const ROOM_C = 25;

const buffer = (name: BufferName, units: Units): Typed => ({
  buffer: name,
  ph: standard(name) ? '' : name,
  temperature: typed(ROOM_C, 'temperature', units),
  shown: '',
});

/** The probe in its buffers, step by step; what that says and moves is shown before it is kept. */
export function CalibrationForm({ buffers }: { buffers: Probe['buffers'] }) {
  const { tank, units } = useAtTank();
  const degrees = measure('temperature', units).label;
  const [time, setTime] = useState<string | null>(null);
  const [rows, setRows] = useTyped<Typed[]>(`buffers-${tank.id}`, () => [
    buffer('7.00', units),
    buffer('10.00', units),
  ]);
  const [millivolts, setMillivolts] = useState(false);
  const [meter, setMeter] = useState<Calibration['meter'] | null>(null);
  const [setTo, setSetTo] = useState<string | null>(null);
  const keep = useKeepCalibration(tank.id);
  const drop = useDropCalibration(tank.id);
  const tell = useNotice();
  const [opened] = useState(() => localInput(new Date(), tank.zone));
  const filled = rows.filter((r) => r.shown.trim() !== '');
  const how = { at: time ?? opened, note: '', millivolts, setTo };
  const unseen = filled.length === 0 && meter !== null && meter !== 'LEFT_AS_IT_WAS';
  const body: NewCalibration | null =
    filled.length > 0 || unseen
      ? calibration(filled, { ...how, meter: meter ?? 'LEFT_AS_IT_WAS' }, units)
      : null;
  const look = useLook(tank.id, body);
  const change = (i: number, changed: Partial<Typed>) =>
    setRows(rows.map((r, at) => (at === i ? { ...r, ...changed } : r)));
  const save = () =>
    body &&
    meter &&
    keep.mutate(
      { ...body, at: time ?? localInput(new Date(), tank.zone) },
      {
        onSuccess: (kept) => {
          const id = kept.calibration.id;
          tell(`Saved. ${moves(kept)}`, id ? () => drop.mutate(id) : undefined);
          setRows(rows.map((r) => ({ ...r, shown: '' })));
          setTime(null);
          setMeter(null);
        },
      },
    );
  return (
    <section aria-labelledby="in-buffers" className="grid gap-4">
      <h2 id="in-buffers" className="text-xl font-bold">
        Calibrate in two buffers
      </h2>
      <ol className="grid list-decimal gap-1 pl-5">
        <li>Switch off pumps and heaters before you put your hands in the water.</li>
        <li>Before each buffer, rinse the probe with distilled water and blot it.</li>
        <li>Wait until the reading moves less than 0.01 in a minute. Allow five minutes in all.</li>
        <li>Pour used buffer away, never into its bottle or the tank.</li>
      </ol>
      {rows.map((row, i) => (
        <div key={i} className="grid grid-cols-2 gap-3 border-t pt-3 sm:grid-cols-4 lg:grid-cols-2">
          <Choice
            label={i === 0 ? 'First buffer' : 'Second buffer'}
            value={row.buffer}
            options={BUFFERS}
            onChange={(e) => change(i, buffer(e.target.value as BufferName, units))}
          />
          {standard(row.buffer) ? (
            <p className="self-end pb-2 text-lg" aria-live="polite">
              pH{' '}
              {valueAt(buffers, row.buffer, readAs(row.temperature, 'temperature', units))?.toFixed(
                3,
              ) ?? '—'}
            </p>
          ) : (
            <Field
              label="pH of the buffer at that temperature"
              inputMode="decimal"
              value={row.ph}
              onChange={(e) => change(i, { ph: e.target.value })}
            />
          )}
          <Field
            label="Temperature of the buffer"
            unit={degrees}
            inputMode="decimal"
            value={row.temperature}
            onChange={(e) => change(i, { temperature: e.target.value })}
          />
          <Field
            label="The meter showed"
            unit={millivolts ? 'mV' : 'pH'}
            inputMode="text"
            value={row.shown}
            onChange={(e) => change(i, { shown: e.target.value })}
          />
        </div>
      ))}
      <div className="grid gap-1">
        <Tick checked={millivolts} onChange={(e) => setMillivolts(e.target.checked)}>
          The meter shows millivolts
        </Tick>
        <Tick
          checked={setTo !== null}
          onChange={(e) => setSetTo(e.target.checked ? typed(ROOM_C, 'temperature', units) : null)}
        >
          The meter does not compensate for temperature
        </Tick>
        {setTo !== null && (
          <Field
            label="Temperature setting of the meter"
            unit={degrees}
            inputMode="decimal"
            value={setTo}
            onChange={(e) => setSetTo(e.target.value)}
          />
        )}
      </div>
      <OneOf legend="Then I" value={meter} options={METERS} onChange={setMeter} />
      <When
        label={time === null ? 'now' : 'at'}
        kind="moment"
        value={time ?? opened}
        onChange={(e) => setTime(e.target.value || null)}
        error={keep.error?.at('at')}
      />
      <div aria-live="polite" className="grid gap-1">
        {look.data && body && (
          <>
            <p className="text-lg font-semibold">
              {look.data.calibration.slopePercent !== undefined &&
                `Slope ${look.data.calibration.slopePercent.toFixed(0)} %, `}
              {look.data.calibration.offsetMv !== undefined &&
                `offset ${signed(look.data.calibration.offsetMv, 0)} mV. `}
              {filled.length > 0 && CONDITION[look.data.calibration.condition]}
            </p>
            <p>{moves(look.data)}</p>
          </>
        )}
        <Refusal message={body ? (keep.error?.message ?? look.error?.message) : undefined} />
      </div>
      <Button
        look="main"
        disabled={!body || !meter || keep.isPending || look.isError}
        onClick={save}
      >
        Save
      </Button>
    </section>
  );
}
