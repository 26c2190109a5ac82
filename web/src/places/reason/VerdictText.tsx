import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import type { InputName, Verdict } from '../../api/types';
import { weekdayAndTime } from '../../lib/time';
import { Button, buttonLook } from '../../parts/Button';
import { useAtTank } from '../../TankContext';
import { ProbeCheck } from './ProbeCheck';

const URGENCY: Record<Verdict['urgency'], string | null> = {
  NONE: null,
  CAN_WAIT:
    'Below your goal, but not urgent. You keep this tank steady: make one change, then watch for two days.',
  WORTH_DOING: 'Below your goal, but not urgent.',
  ACT_NOW: 'Below your action level: start today.',
  STOP_RAISING:
    'Above your goal for the daily high. Raise nothing until you have checked the probe.',
  DANGER: 'Animals are in danger at this pH, or when alkalinity changes this fast.',
};

const MEASURE: Partial<Record<Verdict['step'], { what: InputName; label: string }>> = {
  MEASURE_PH: { what: 'PH', label: 'Add a pH' },
  TEST_ALKALINITY: { what: 'ALKALINITY', label: 'Add alkalinity' },
  MEASURE_ROOM: { what: 'ROOM_CO2', label: 'Add room CO2' },
  MEASURE_OUTDOORS: { what: 'OUTDOOR_CO2', label: 'Add outdoor CO2' },
  MEASURE_TEMPERATURE: { what: 'TEMPERATURE', label: 'Add the temperature' },
  MEASURE_SALINITY: { what: 'SALINITY', label: 'Add salinity' },
  RAISE_ALKALINITY: { what: 'ALKALINITY', label: 'Add a second test' },
};

const LOOK: Partial<Record<Verdict['urgency'], string>> = {
  STOP_RAISING: 'border-l-4 border-alk pl-3',
  DANGER: 'border-l-4 border-danger pl-3',
};

/** The verdict in two sentences, how soon, and one next step. */
export function VerdictText({ verdict }: { verdict: Verdict }) {
  const { tank } = useAtTank();
  const [checking, setChecking] = useState(false);
  const measure = MEASURE[verdict.step];
  const urgency = URGENCY[verdict.urgency];
  return (
    <div className="grid gap-3 text-lg leading-snug" data-verdict={verdict.kind} aria-live="polite">
      <p className={LOOK[verdict.urgency]}>
        <strong className="text-2xl">
          {verdict.urgency === 'DANGER' && (
            <span className="text-danger">
              <span aria-hidden>■ </span>Danger.{' '}
            </span>
          )}
          {verdict.headline}
        </strong>{' '}
        {verdict.because}
      </p>
      <p>{verdict.next}</p>
      {urgency && <p className="text-base text-soft">{urgency}</p>}
      {verdict.remark && (
        <p className="border-l-4 border-accent pl-3 text-base">{verdict.remark}</p>
      )}
      {verdict.cautions.map((caution) => (
        <p key={caution} className="border-l-4 border-danger pl-3 text-base">
          <strong className="text-danger">▲ Caution. </strong>
          {caution}
        </p>
      ))}
      {verdict.step === 'CHECK_PROBE' && (
        <Button look="main" className="justify-self-start" onClick={() => setChecking(true)}>
          Check the probe
        </Button>
      )}
      {verdict.lookAt && (
        <Link
          to="/tank/$tankId/staircase"
          params={{ tankId: tank.id }}
          search={{ at: verdict.lookAt }}
          className={`${buttonLook('main')} justify-self-start`}
        >
          Show {weekdayAndTime(verdict.lookAt, tank.zone)}
        </Link>
      )}
      {measure && (
        <Link
          to="/tank/$tankId/add-to-log"
          params={{ tankId: tank.id }}
          search={{ measure: measure.what }}
          className={`${buttonLook('main')} justify-self-start`}
        >
          {measure.label}
        </Link>
      )}
      {verdict.urgency !== 'NONE' && (
        <p className="flex flex-wrap gap-x-3">
          <Link
            to="/tank/$tankId/suspects"
            params={{ tankId: tank.id }}
            className={buttonLook('quiet')}
          >
            Why is it low?
          </Link>
          <Link
            to="/tank/$tankId/bench"
            params={{ tankId: tank.id }}
            search={{ sort: 'cheapest' }}
            className={buttonLook('quiet')}
          >
            Cheapest change that helps
          </Link>
        </p>
      )}
      <ProbeCheck open={checking} onOpenChange={setChecking} />
    </div>
  );
}
