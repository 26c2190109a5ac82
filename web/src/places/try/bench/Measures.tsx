import { useState } from 'react';
import type { Bench, Forecast, MeasureKind, PutMeasure, Units } from '../../../api/types';
import { GainBar } from '../../../drawings/GainBar';
import { money } from '../../../lib/money';
import { signedRange } from '../../../lib/number';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Skeleton } from '../../../parts/Skeleton';
import { Slider } from '../../../parts/Slider';
import { knobs, turned, withMeasure, withoutMeasure, type Knob } from './measures';
import { alongThePath, cheapestFirst, type Group } from './path';

const COLUMNS =
  'grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 md:grid-cols-[minmax(0,1fr)_5.25rem_7rem_4.5rem]';

/** What one can try, along the CO2's path or cheapest first: what each gains here and costs; the chosen one opens its settings. */
export function Measures({
  measures,
  impossible,
  gains,
  puts,
  units,
  currency,
  cheapest = false,
  onChange,
}: {
  measures: readonly MeasureKind[];
  impossible: Bench['impossible'];
  gains: ReadonlyMap<string, Forecast>;
  puts: readonly PutMeasure[];
  units: Units;
  currency: string;
  /** Whether the list begins sorted so. */
  cheapest?: boolean;
  onChange: (puts: PutMeasure[]) => void;
}) {
  const [ladder, setLadder] = useState(cheapest);
  const groups: Group[] = ladder ? cheapestFirst(measures, gains) : alongThePath(measures);
  const most = Math.max(0, ...[...gains.values()].map((f) => f.gainPh.high));
  return (
    <div>
      <div className="flex flex-wrap items-center justify-between gap-x-4 pb-1">
        <p className="text-sm text-soft">Gain on the daily low, on this tank</p>
        <Button look="quiet" aria-pressed={ladder} onClick={() => setLadder(!ladder)}>
          {ladder ? 'Sort along the CO2’s path' : 'Sort cheapest first'}
        </Button>
      </div>
      {groups.map((group) => (
        <section key={group.name} aria-label={group.name} className="pb-2">
          <h2 className="border-b pb-1 font-bold">{group.name}</h2>
          {group.measures.map((measure) => {
            const put = puts.find((p) => p.kind === measure.kind);
            return (
              <div
                key={measure.kind}
                className={`border-b border-hairline/60 ${put ? 'bg-accent/10' : ''}`}
              >
                <div className={COLUMNS}>
                  <label className="flex min-h-11 cursor-pointer items-center gap-3 leading-tight">
                    <input
                      type="checkbox"
                      className="size-5 shrink-0 accent-accent"
                      checked={put !== undefined}
                      aria-describedby={`about-${measure.kind}`}
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
                  {!measure.fault && (
                    <AtAGlance forecast={gains.get(measure.kind)} most={most} currency={currency} />
                  )}
                </div>
                <p
                  id={`about-${measure.kind}`}
                  className={remark(measure) ? '-mt-2 pb-1 pl-8 text-sm text-soft' : 'hidden'}
                >
                  {remark(measure)}
                </p>
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
        </section>
      ))}
      <p className="text-sm text-soft">
        <span className="text-accent">■</span> removes CO2 · <span className="text-alk">■</span>{' '}
        raises pH, the CO2 stays. Bars: 9 in 10 models. Prices are assumed.
      </p>
      {impossible.length > 0 && (
        <details className="pt-1">
          <summary className="min-h-11 py-2 text-soft underline underline-offset-4">
            What this tank lacks parts for ({impossible.length})
          </summary>
          <ul className="grid gap-1 pb-2 text-sm">
            {impossible.map((one) => (
              <li key={one.kind}>
                <strong>{one.name}</strong> needs {one.needs}.
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

/** What it would gain, and what it costs; computed in the background. */
function AtAGlance({
  forecast,
  most,
  currency,
}: {
  forecast: Forecast | undefined;
  most: number;
  currency: string;
}) {
  if (!forecast) return <Skeleton className="h-4 w-16 md:col-span-3 md:w-full" />;
  const { gainPh, cost, ways } = forecast;
  const price =
    cost.perMonth >= 0.5
      ? `${money(cost.perMonth, currency)}/mo`
      : cost.toFit >= 0.5
        ? money(cost.toFit, currency)
        : 'free';
  return (
    <>
      <span className="hidden md:block">
        <GainBar
          low={gainPh.low}
          high={gainPh.high}
          most={most}
          colour={ways.includes('MASKS') ? 'var(--alk)' : 'var(--accent)'}
        />
      </span>
      <span className="text-right text-sm">{signedRange(gainPh)}</span>
      <span className="hidden text-right text-sm text-soft md:block">{price}</span>
    </>
  );
}

const remark = (measure: MeasureKind) => (measure.fault || measure.reversible ? '' : 'permanent');

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
