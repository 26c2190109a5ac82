import { useState } from 'react';
import { localInput } from '../../lib/time';
import { Button } from '../../parts/Button';
import { When } from '../../parts/When';
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
      about="Older readings belong to the tank of that time. Past days keep their own description."
    >
      <div className="grid gap-6">
        <div className="grid gap-3 border-b pb-6">
          <When
            label="Changed at"
            kind="moment"
            value={at}
            max={now}
            onChange={(e) => setAt(e.target.value)}
            error={refusal}
          />
          <Button look="main" disabled={pending || at === ''} onClick={() => since(at)}>
            The tank changed: start a new chapter
          </Button>
        </div>
        <div className="grid gap-3">
          <p>
            The tank was always like this. Earlier chapters with the same mistake are corrected,
            too.
          </p>
          <Button disabled={pending} onClick={always}>
            The description was wrong: correct it
          </Button>
        </div>
      </div>
    </Sheet>
  );
}
