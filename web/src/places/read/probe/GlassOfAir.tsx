import { useState } from 'react';
import { useAirBalance } from '../../../api/probe';
import { measure, readAs, typed } from '../../../lib/measure';
import { range, readNumber } from '../../../lib/number';
import { dayAndTime } from '../../../lib/time';
import { alkalinityToMeq, showAlkalinity } from '../../../lib/units';
import { Button } from '../../../parts/Button';
import { Field } from '../../../parts/Field';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';

/** A room's, until the keeper says. */
const GLASS_C = 22;

/** A check without buffers: tank water in balance with outdoor air. */
export function GlassOfAir() {
  const { tank, units } = useAtTank();
  const balance = useAirBalance(tank.id);
  const [shown, setShown] = useState('');
  const [temperature, setTemperature] = useState(() => typed(GLASS_C, 'temperature', units));
  const ph = readNumber(shown);
  const glassC = readAs(temperature, 'temperature', units);
  const data = balance.data;
  const change = (set: (text: string) => void) => (text: string) => {
    set(text);
    balance.reset();
  };
  return (
    <section aria-labelledby="glass" className="grid gap-3 border-t pt-4">
      <h2 id="glass" className="text-xl font-bold">
        A glass of air
      </h2>
      <p>
        At most half a litre of tank water, a fine stone, air drawn from outdoors. Wait until it
        moves less than 0.01 in ten minutes: one to two hours. Exhaled air beside it spoils it. It
        checks probe and alkalinity test together.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="it shows"
          unit="pH"
          inputMode="decimal"
          value={shown}
          onChange={(e) => change(setShown)(e.target.value)}
          error={balance.error?.at('shownPh')}
        />
        <Field
          label="in the glass"
          unit={measure('temperature', units).label}
          inputMode="decimal"
          value={temperature}
          onChange={(e) => change(setTemperature)(e.target.value)}
          error={balance.error?.at('glassC')}
        />
      </div>
      <Button
        disabled={ph === null || glassC === undefined || balance.isPending}
        onClick={() =>
          ph !== null && glassC !== undefined && balance.mutate({ shownPh: ph, glassC })
        }
      >
        What should it show?
      </Button>
      <Refusal
        message={balance.error && !balance.error.at('shownPh') ? balance.error.message : undefined}
      />
      {data && (
        <p aria-live="polite">
          <strong>
            {data.holds
              ? 'Probe and alkalinity test hold together.'
              : `It shows ${Math.abs(data.shownPh - data.expectedPh.value).toFixed(2)} too ${data.shownPh > data.expectedPh.value ? 'much' : 'little'}.`}
          </strong>{' '}
          It should show {range(data.expectedPh, 2)} and shows {data.shownPh.toFixed(2)}, with the
          alkalinity of {dayAndTime(data.testedAt, tank.zone)} (
          {showAlkalinity(alkalinityToMeq(data.alkalinityDkh, 'DKH'), units.alkalinity)}) in air of{' '}
          {data.airPpm} ppm.
          {!data.holds &&
            ' Either the probe is off, or the alkalinity test, or the air was not as clean. Two buffers part them.'}
        </p>
      )}
    </section>
  );
}
