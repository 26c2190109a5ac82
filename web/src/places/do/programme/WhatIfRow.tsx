import { useState } from 'react';
import type { Programme, WhatIf } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Field';
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
  { value: '', label: 'as the log has them' },
  { value: 'NOT_KNOWN', label: 'are missing' },
  { value: 'HOLDS', label: 'say that gates open' },
  { value: 'DOES_NOT', label: 'say that gates are shut' },
] as const;

/** What could happen at the playhead: drawn in the day, and run by the twin. */
export function WhatIfRow({
  programme,
  first,
  what,
  setWhat,
}: {
  programme: Programme;
  /** Where the playhead is at first. */
  first: number;
  what?: WhatIf;
  setWhat: (what?: WhatIf) => void;
}) {
  const at = usePlayhead(first);
  const [back, setBack] = useState<string>('60');
  const [laneId, setLane] = useState('');
  const [does, setDoes] = useState('');
  const lane = programme.lanes.find((l) => l.id === laneId) ?? programme.lanes[0];
  const gated = programme.rules.some((r) => r.kind === 'GATE');
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
        What if, from this moment on
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="the power failed, and came back"
          className="w-56"
          value={back}
          options={BACK}
          onChange={(e) => setBack(e.target.value)}
        />
        <Button onClick={fails}>Draw the power cut</Button>
      </div>
      {lane && state && (
        <div className="flex flex-wrap items-end gap-3">
          <Choice
            label="a device did not obey"
            className="w-56"
            value={lane.id}
            options={programme.lanes.map((l) => ({ value: l.id, label: l.name }))}
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
            Draw the device
          </Button>
        </div>
      )}
      {gated && (
        <Choice
          label="its gates’ readings"
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
            'The power is away where it is hatched. For half an hour after it each lane does what it does after power; dosers wait until somebody saw that the return runs. '}
          <Button look="quiet" onClick={() => setWhat(undefined)}>
            as usual again
          </Button>
        </p>
      )}
    </section>
  );
}
