import type { Staircase } from '../../api/types';
import { Sheet } from '../../parts/Sheet';
import { INPUT_NAMES } from './inputNames';

/** Formulas, numbers and sources of the staircase on the screen. */
export function WorkingSheet({
  staircase,
  open,
  onOpenChange,
}: {
  staircase: Staircase;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Sheet
      open={open}
      onOpenChange={onOpenChange}
      title="How this is worked out"
      about={
        staircase.extrapolated
          ? 'Each step with numbers and source. Salinity or temperature is outside the measured range of some constants: extrapolated.'
          : 'Each step with numbers and source.'
      }
    >
      <ol className="grid gap-4">
        {staircase.working.map((w) => (
          <li key={w.what} className="border-t pt-3">
            <h3 className="font-bold">{w.what}</h3>
            <p className="text-soft">{w.formula}</p>
            <p className="text-lg">{w.numbers}</p>
            <p className="text-sm text-soft">{w.source}</p>
          </li>
        ))}
      </ol>
      {staircase.doubts.length > 0 && (
        <>
          <h3 className="border-t pt-3 mt-4 font-bold">What would change the verdict</h3>
          <p className="text-soft">
            Tank minus ventilation is {Math.round(staircase.tankMoreThanVentilation?.value ?? 0)}{' '}
            ppm, between {Math.round(staircase.tankMoreThanVentilation?.low ?? 0)} and{' '}
            {Math.round(staircase.tankMoreThanVentilation?.high ?? 0)}. If the range includes zero,
            either could be larger. The error of each input alone changes this by:
          </p>
          <ul>
            {staircase.doubts.map((d) => (
              <li key={d.input} className="flex justify-between gap-4 py-1">
                <span>{INPUT_NAMES[d.input]}</span>
                <span>± {Math.round(d.ppm)} ppm</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </Sheet>
  );
}
