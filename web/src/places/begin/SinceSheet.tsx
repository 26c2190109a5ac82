import { useState } from 'react';
import { localInput } from '../../lib/time';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Sheet } from '../../parts/Sheet';
import { useAtTank } from '../../TankContext';

/** A tank that changed and a description that was wrong are two things: the log before is of another tank, or of this. */
export function SinceSheet({
  refusal,
  pending,
  since,
  always,
  close,
}: {
  refusal?: string;
  pending: boolean;
  since: (at: string) => void;
  always: () => void;
  close: () => void;
}) {
  const { tank } = useAtTank();
  const now = localInput(new Date(), tank.zone);
  const [at, setAt] = useState(now);
  return (
    <Sheet
      open
      onOpenChange={close}
      title="Did the tank change, or was this wrong?"
      about="What was logged before belongs to the tank as it was then. Days that are over are run as they were."
    >
      <div className="grid gap-6">
        <div className="grid gap-3 border-b pb-6">
          <Field
            label="It changed at"
            type="datetime-local"
            value={at}
            max={now}
            onChange={(e) => setAt(e.target.value)}
            error={refusal}
          />
          <Button look="main" disabled={pending || at === ''} onClick={() => since(at)}>
            It changed then: begin a new chapter
          </Button>
        </div>
        <div className="grid gap-3">
          <p>
            It was always so and described wrongly. Earlier chapters that say the same are mended,
            too.
          </p>
          <Button disabled={pending} onClick={always}>
            I had it wrong: correct it
          </Button>
        </div>
      </div>
    </Sheet>
  );
}
