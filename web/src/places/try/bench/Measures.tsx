import type { MeasureKind, PutMeasure, Units } from '../../../api/types';
import { Choice } from '../../../parts/Field';
import { Slider } from '../../../parts/Slider';
import { knobs, turned, withMeasure, withoutMeasure, type Knob } from './measures';

/** What one can put on the tank; each opens its own settings, as the server's registry tells them. */
export function Measures({
  measures,
  puts,
  units,
  onChange,
}: {
  measures: readonly MeasureKind[];
  puts: readonly PutMeasure[];
  units: Units;
  onChange: (puts: PutMeasure[]) => void;
}) {
  return (
    <div>
      {measures.map((measure) => {
        const put = puts.find((p) => p.kind === measure.kind);
        return (
          <div key={measure.kind} className="border-b py-0.5">
            <label className="flex min-h-11 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-accent"
                checked={put !== undefined}
                aria-describedby={remark(measure) ? `remark-${measure.kind}` : undefined}
                onChange={(e) =>
                  onChange(
                    e.target.checked
                      ? withMeasure(measures, puts, { kind: measure.kind })
                      : withoutMeasure(puts, measure.kind),
                  )
                }
              />
              {measure.name}
            </label>
            {remark(measure) && (
              <p id={`remark-${measure.kind}`} className="-mt-2 pb-1 pl-8 text-sm text-soft">
                {remark(measure)}
              </p>
            )}
            {put && measure.parameters.length > 0 && (
              <div className="grid gap-2 pb-3 pl-8">
                {knobs(measure, put, units).map((knob) => (
                  <Turn
                    key={knob.parameter.name}
                    knob={knob}
                    turn={(to) =>
                      onChange(withMeasure(measures, puts, turned(put, knob.parameter, to)))
                    }
                  />
                ))}
              </div>
            )}
          </div>
        );
      })}
    </div>
  );
}

const remark = (measure: MeasureKind) =>
  measure.fault ? 'faults, to see their effect' : measure.reversible ? '' : 'permanent';

function Turn({ knob, turn }: { knob: Knob; turn: (to: number | string) => void }) {
  const { parameter } = knob;
  return knob.kind === 'slide' ? (
    <Slider
      label={parameter.label}
      value={knob.value}
      min={parameter.min}
      max={parameter.max}
      step={parameter.step}
      shown={knob.shown}
      onChange={turn}
    />
  ) : (
    <Choice
      label={parameter.label}
      value={knob.value}
      onChange={(e) => turn(e.target.value)}
      options={knob.options}
    />
  );
}
