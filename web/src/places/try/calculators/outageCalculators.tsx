import { api, bodyOf } from '../../../api/client';
import { Answer, AnswerList } from './Answers';
import { PlainCalculator } from './PlainCalculator';

const n0 = (value: number | undefined) => value ?? 0;

/** A computer's UPS on a small load: what its label promises, and what it gives. */
export function BackupCalculator() {
  return (
    <PlainCalculator
      name="ups"
      example="Example: a UPS sold as 100 W for 23 minutes, with an air pump of 3.4 W."
      asked={[
        { key: 'upsW', label: 'Label', unit: 'W', start: '100' },
        { key: 'upsMinutes', label: 'for', unit: 'minutes', start: '23' },
        { key: 'loadW', label: 'Power of what you plug in', unit: 'W', start: '3.4' },
        {
          key: 'yearsOld',
          label: 'Age of the battery',
          unit: 'years',
          start: '',
          optional: true,
          hint: 'Empty: we assume an old battery.',
        },
      ]}
      ask={(n) =>
        bodyOf(
          api.POST('/api/v1/calculators/backup', {
            body: {
              upsW: n0(n.upsW),
              upsMinutes: n0(n.upsMinutes),
              loadW: n0(n.loadW),
              yearsOld: n.yearsOld,
            },
          }),
        )
      }
      answers={(a) =>
        a.overloaded ? (
          <p className="text-lg font-semibold">
            ✕ This load is too much. The UPS switches off at once.
          </p>
        ) : (
          <>
            <AnswerList>
              <Answer label="plan with" value={a.earlyH.toFixed(1)} unit="h" large />
              <Answer label="likely" value={a.likelyH.toFixed(1)} unit="h" />
              <Answer label="at the most" value={a.lateH.toFixed(1)} unit="h" />
              <Answer label="suggested by the label" value={a.naiveH.toFixed(1)} unit="h" />
              <Answer label="battery age used" value={a.yearsOld.toFixed(0)} unit="years" />
            </AnswerList>
            <p className="mt-3 max-w-2xl">
              Many units switch off under a very small load, or after a while. Only your own test
              shows. Pull the plug of the UPS in daylight, time it to the end, and enter the hours
              in Readiness. From then on only your test counts.
            </p>
            <p className="mt-3 max-w-2xl border-l-4 border-alk pl-3">
              Keep the UPS dry and above the water line, with a drip loop in every cord.
            </p>
          </>
        )
      }
      source="The inverter itself uses 5–8 W. Lead batteries give more under a lower load (Peukert 1897, exponent 1.15 to 1.25) and lose capacity with age. All from memory. The earlier figure assumes no such gain."
    />
  );
}
