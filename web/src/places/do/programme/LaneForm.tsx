import { useState } from 'react';
import type { Lane, Programme } from '../../../api/types';
import { Button } from '../../../parts/Button';
import { Choice, Field } from '../../../parts/Field';
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
  programme,
  change,
  close,
}: {
  /** Undefined for a new one. */
  lane?: Lane;
  programme: Programme;
  change: (programme: Programme) => void;
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
    if (name.trim() === '') return 'A lane has a name.';
    if (typeof atRest === 'string') return atRest;
    if (typeof afterPower === 'string') return afterPower;
    return {
      id: lane?.id ?? freshId(name, programme.lanes),
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
    change(withLane(programme, made));
    close();
  };
  return (
    <Sheet
      open
      onOpenChange={close}
      title={lane ? lane.name : 'A new lane'}
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
          <p className="text-soft">Its name, what it brings and when are kept in Doses.</p>
        ) : (
          <Field
            label="Name"
            maxLength={80}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        )}
        <StateFields
          label="At rest, where no rule speaks"
          kind={kind}
          value={rest}
          onChange={setRest}
        />
        <StateFields label="When the power is back" kind={kind} value={after} onChange={setAfter} />
        <p className="text-sm text-soft">
          Nobody watches at rest and after a cut: something must bring air then, media be on fresh
          air, and dosers off.
        </p>
        <Refusal message={problem} />
        <div className="flex flex-wrap items-center gap-3">
          <Button look="main" type="submit">
            {lane ? 'Change it' : 'Add it'}
          </Button>
          {lane && !line && (
            <Button
              look="quiet"
              onClick={() => {
                change(withoutLane(programme, lane.id));
                close();
              }}
            >
              take it out with its rules
            </Button>
          )}
        </div>
      </form>
    </Sheet>
  );
}
