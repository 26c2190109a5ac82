import type { Problem } from '../../api/client';
import type { NewReadings, RawUnit } from '../../api/types';
import { RAW_UNIT } from '../../lib/units';
import { Button } from '../../parts/Button';
import { Sheet } from '../../parts/Sheet';

/** A value that no tank usually reads, as the server asks about it. */
export interface Unusual {
  index: number;
  doubt: { usual: string; slips: { unit: RawUnit; value: number }[] };
}

export const unusualOf = (problem: Problem | null) =>
  (problem?.extra.unusual ?? null) as Unusual[] | null;

/** Before an unusual value counts: was it meant, was it another unit, or a slip of the finger? */
export function UnusualSheet({
  unusual,
  values,
  save,
  mend,
  close,
}: {
  unusual: Unusual[];
  values: NewReadings['values'];
  save: () => void;
  mend: (index: number, unit: RawUnit) => void;
  close: () => void;
}) {
  return (
    <Sheet open onOpenChange={close} title="Is this right?" about="Nothing is saved yet.">
      <ul className="grid gap-4">
        {unusual.map(({ index, doubt }) => {
          const value = values[index];
          return (
            value && (
              <li key={index} className="grid gap-2 border-t pt-3">
                <p className="text-lg">
                  <strong>
                    {value.unit === 'PH_NBS'
                      ? `pH ${value.value}`
                      : `${value.value} ${RAW_UNIT[value.unit].label}`}
                  </strong>{' '}
                  is unusual: most tanks read {doubt.usual}.
                </p>
                <div className="flex flex-wrap gap-3">
                  {doubt.slips.map((slip) => (
                    <Button key={slip.unit} onClick={() => mend(index, slip.unit)}>
                      I meant {slip.value} {RAW_UNIT[slip.unit].label}
                    </Button>
                  ))}
                </div>
              </li>
            )
          );
        })}
      </ul>
      <div className="flex flex-wrap gap-3 pt-5">
        <Button look="main" onClick={close}>
          Correct
        </Button>
        <Button onClick={save}>Save as typed</Button>
      </div>
    </Sheet>
  );
}
