import { useState } from 'react';
import type { Schedule, WhatIf } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { plainStates } from './fields';
import { usePlayhead } from './playhead';
import { stateWords } from './words';

const BACK = [
  { value: '10', label: 'after 10 minutes' },
  { value: '60', label: 'after an hour' },
  { value: '240', label: 'after four hours' },
  { value: '', label: 'not on this day' },
] as const;

const READINGS = [
  { value: '', label: 'as logged' },
  { value: 'NOT_KNOWN', label: 'are missing' },
  { value: 'HOLDS', label: 'turn reading rules on' },
  { value: 'DOES_NOT', label: 'turn reading rules off' },
] as const;

/** What could happen at the playhead: drawn in the day, and run by the twin. */
export function WhatIfRow({
  schedule,
  first,
  what,
  setWhat,
}: {
  schedule: Schedule;
  /** Where the playhead is at first. */
  first: number;
  what?: WhatIf;
  setWhat: (what?: WhatIf) => void;
}) {
  const at = usePlayhead(first);
  const [back, setBack] = useState<string>('60');
  const [laneId, setLane] = useState('');
  const [does, setDoes] = useState('');
  const lane = schedule.lanes.find((l) => l.id === laneId) ?? schedule.lanes[0];
  const gated = schedule.rules.some((r) => r.kind === 'GATE');
  const from = new Date(at).toISOString();
  const fails = () =>
    setWhat({
      ...what,
      cut: {
        from,
        until: back === '' ? undefined : new Date(at + Number(back) * 60_000).toISOString(),
      },
    });
  const states = lane ? plainStates(lane.kind) : [];
  const state = states.find((s) => s === does) ?? states[0];
  return (
    <section aria-labelledby="what-if" className="grid content-start gap-3 print:hidden">
      <h2 id="what-if" className="text-lg font-bold">
        What if, from this moment
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="the power failed and returned"
          className="w-56"
          value={back}
          options={BACK}
          onChange={(e) => setBack(e.target.value)}
        />
        <Button onClick={fails}>Show the power cut</Button>
      </div>
      {lane && state && (
        <div className="flex flex-wrap items-end gap-3">
          <Choice
            label="a device got stuck"
            className="w-56"
            value={lane.id}
            options={schedule.lanes.map((l) => ({ value: l.id, label: l.name }))}
            onChange={(e) => setLane(e.target.value)}
          />
          <Choice
            label="and stayed"
            className="w-40"
            value={state}
            options={states.map((s) => ({ value: s, label: stateWords({ does: s }, lane.kind) }))}
            onChange={(e) => setDoes(e.target.value)}
          />
          <Button
            onClick={() =>
              setWhat({ ...what, stuck: { lane: lane.id, state: { does: state }, from } })
            }
          >
            Show the device
          </Button>
        </div>
      )}
      {gated && (
        <Choice
          label="the readings of its rules"
          className="w-56"
          value={what?.readings ?? ''}
          options={READINGS}
          onChange={(e) =>
            setWhat({
              ...what,
              readings: (e.target.value || undefined) as WhatIf['readings'],
            })
          }
        />
      )}
      {what && (what.cut ?? what.stuck ?? what.readings) && (
        <p className="text-soft">
          {what.cut &&
            'Hatched: power cut. For the next half hour each device does what you set for after a cut. Dosers wait until you confirm that the return runs. '}
          <Button look="quiet" onClick={() => setWhat(undefined)}>
            Clear
          </Button>
        </p>
      )}
    </section>
  );
}
