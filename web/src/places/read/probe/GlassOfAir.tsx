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
        Aerated glass
      </h2>
      <p>
        Take at most half a litre of tank water, a fine stone and outdoor air. Wait one to two
        hours, until pH moves less than 0.01 in ten minutes. Don’t breathe near the glass. This
        checks probe and alkalinity test together.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="The meter shows"
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
              ? 'Probe and alkalinity test agree.'
              : `The probe reads ${Math.abs(data.shownPh - data.expectedPh.value).toFixed(2)} too ${data.shownPh > data.expectedPh.value ? 'much' : 'little'}.`}
          </strong>{' '}
          Expected {range(data.expectedPh, 2)}, measured {data.shownPh.toFixed(2)}, with alkalinity{' '}
          {dayAndTime(data.testedAt, tank.zone)} ({' '}
          {showAlkalinity(alkalinityToMeq(data.alkalinityDkh, 'DKH'), units.alkalinity)}) in air
          with {data.airPpm} ppm.{' '}
          {!data.holds &&
            ' The probe, the alkalinity test or the air could be wrong. Two buffers show which.'}
        </p>
      )}
    </section>
  );
}
