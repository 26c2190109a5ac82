import type { Bench, Units, Variant } from '../../../api/types';
import { Choice } from '../../../parts/Field';
import { Slider } from '../../../parts/Slider';
import { REMEDIES, type Knob } from './remedies';

/** What one can place on the tank; each opens its own numbers. */
export function Remedies({
  bench,
  put,
  units,
  onChange,
}: {
  bench: Bench;
  put: Variant;
  units: Units;
  onChange: (put: Variant) => void;
}) {
  const set = (change: Partial<Variant>) => onChange({ ...put, ...change });
  return (
    <div>
      {REMEDIES.filter((remedy) => remedy.here(bench)).map((remedy) => {
        const on = remedy.on(put);
        const knobs = on ? remedy.knobs(put, bench, units) : [];
        return (
          <div key={remedy.name} className="border-b py-0.5">
            <label className="flex min-h-11 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-accent"
                checked={on}
                onChange={(e) => set(e.target.checked ? remedy.place(bench) : remedy.take)}
              />
              {remedy.name}
            </label>
            {knobs.length > 0 && (
              <div className="grid gap-2 pb-3 pl-8">
                {knobs.map((knob) => (
                  <Turn key={knob.label} knob={knob} set={set} />
                ))}
              </div>
            )}
          </div>
        );
      })}
    </div>
  );
}

function Turn({ knob, set }: { knob: Knob; set: (change: Partial<Variant>) => void }) {
  return knob.kind === 'slide' ? (
    <Slider
      label={knob.label}
      value={knob.value}
      min={knob.min}
      max={knob.max}
      step={knob.step}
      shown={knob.shown}
      onChange={(value) => set(knob.set(value))}
    />
  ) : (
    <Choice
      label={knob.label}
      value={knob.value}
      onChange={(e) => set(knob.set(e.target.value))}
      options={knob.options}
    />
  );
}
