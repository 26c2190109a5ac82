import { useState } from 'react';
import type { Lane, Schedule } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Refusal } from '../../../parts/Refusal';
import { Sheet } from '../../../parts/Sheet';
import { freshId, withLane, withoutLane } from './changes';
import { draftOf, readState, usualRest } from './drafts';
import { StateFields } from './fields';
import { KIND } from './words';

const KINDS = Object.entries(KIND).map(([value, label]) => ({ value, label }));

/** A device, what it does when nobody says anything, and when the power comes back. */
export function LaneForm({
  lane,
  schedule,
  change,
  close,
}: {
  /** Undefined for a new one. */
  lane?: Lane;
  schedule: Schedule;
  change: (schedule: Schedule) => void;
  close: () => void;
}) {
  const [kind, setKind] = useState<Lane['kind']>(lane?.kind ?? 'AIR_PUMP');
  const [name, setName] = useState(lane?.name ?? '');
  const [rest, setRest] = useState(draftOf(lane?.rest ?? usualRest(kind)));
  const [after, setAfter] = useState(draftOf(lane?.afterPower ?? usualRest(kind)));
  const [problem, setProblem] = useState<string>();
  const line = lane?.doses !== undefined;
  const become = (next: Lane['kind']) => {
    setKind(next);
    setRest(draftOf(usualRest(next)));
    setAfter(draftOf(usualRest(next)));
  };
  const read = (): Lane | string => {
    const atRest = readState(rest);
    const afterPower = readState(after);
    if (name.trim() === '') return 'Enter a name.';
    if (typeof atRest === 'string') return atRest;
    if (typeof afterPower === 'string') return afterPower;
    return {
      id: lane?.id ?? freshId(name, schedule.lanes),
      kind,
      name: name.trim(),
      rest: atRest,
      afterPower,
      doses: lane?.doses,
    };
  };
  const save = () => {
    const made = read();
    if (typeof made === 'string') {
      setProblem(made);
      return;
    }
    change(withLane(schedule, made));
    close();
  };
  return (
    <Sheet
      open
      onOpenChange={close}
      title={lane ? lane.name : 'Add a device'}
      about="A device, or several that always do the same."
    >
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        {!lane && (
          <Choice
            label="What it is"
            value={kind}
            options={KINDS}
            onChange={(e) => become(e.target.value as Lane['kind'])}
          />
        )}
        {line ? (
          <p className="text-soft">Name, solution and times are set in Dosing.</p>
        ) : (
          <Field
            label="Name"
            maxLength={80}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        )}
        <StateFields label="When no rule applies" kind={kind} value={rest} onChange={setRest} />
        <StateFields label="When the power returns" kind={kind} value={after} onChange={setAfter} />
        <p className="text-sm text-soft">
          After a power cut nobody watches. Then something must add air, media must get fresh air,
          and dosers must be off.
        </p>
        <Refusal message={problem} />
        <div className="flex flex-wrap items-center gap-3">
          <Button look="main" type="submit">
            {lane ? 'Save' : 'Add'}
          </Button>
          {lane && !line && (
            <Button
              look="quiet"
              onClick={() => {
                change(withoutLane(schedule, lane.id));
                close();
              }}
            >
              Remove with its rules
            </Button>
          )}
        </div>
      </form>
    </Sheet>
  );
}
