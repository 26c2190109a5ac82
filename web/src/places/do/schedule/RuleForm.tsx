import { useState } from 'react';
import type { Lane, LaneRule, Schedule } from '../../../api/types';
import { readNumber } from '../../../lib/number';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Refusal } from '../../../parts/Refusal';
import { Sheet } from '../../../parts/Sheet';
import { withoutRule, withRule } from './changes';
import { draftOf, readState, readSurges, surgesOf, usualRest, type StateDraft } from './drafts';
import { doable, Lasting, StateFields } from './fields';

const KINDS: readonly { value: LaneRule['kind']; label: string }[] = [
  { value: 'SPECIAL', label: 'in a time window, overriding the usual day' },
  { value: 'USUAL', label: 'in a time window, usual day' },
  { value: 'FOLLOW_UP', label: 'after each time window' },
  { value: 'GATE', label: 'while a reading is in range' },
  { value: 'CUT_OUT', label: 'while a reading is in range, above all else' },
];

const READ = [
  { value: 'PH', label: 'pH' },
  { value: 'CO2', label: 'CO2, ppm' },
  { value: 'OXYGEN', label: 'oxygen, mg/L' },
  { value: 'TEMPERATURE', label: 'temperature, °C' },
] as const;

type Limit = NonNullable<LaneRule['limit']>;

/** Media are commonly let in below this; only where a form begins. */
const BELOW_AT_FIRST: Limit = {
  quantity: 'PH',
  above: false,
  value: 8.2,
  hysteresis: 0.05,
  leastOnMin: 10,
  leastOffMin: 10,
  staleAfterMin: 30,
};

const NUMBERS = [
  ['value', 'than', ''],
  ['hysteresis', 'released this far beyond', ''],
  ['leastOnMin', 'holds for at least', 'min'],
  ['leastOffMin', 'releases for at least', 'min'],
  ['staleAfterMin', 'readings too old after', 'min'],
] as const;

type NumberOf = (typeof NUMBERS)[number][0];

/** What a lane does, and when. */
export function RuleForm({
  lane,
  rule,
  schedule,
  change,
  close,
}: {
  lane: Lane;
  /** Undefined for a new one. */
  rule?: LaneRule;
  schedule: Schedule;
  change: (schedule: Schedule) => void;
  close: () => void;
}) {
  const { id: laneId, kind } = lane;
  const first = rule?.state ?? rule?.steps?.[0]?.state ?? { does: doable(kind)[0] ?? 'ON' };
  const [by, setBy] = useState<LaneRule['kind']>(rule?.kind ?? 'SPECIAL');
  const [window, setWindow] = useState(rule?.window ?? schedule.windows.at(-1)?.id ?? '');
  const [state, setState] = useState<StateDraft>(draftOf(first));
  const [surges, setSurges] = useState(surgesOf(rule));
  const [limit, setLimit] = useState(rule?.limit ?? BELOW_AT_FIRST);
  const [numbers, setNumbers] = useState<Record<NumberOf, string>>(() => ({
    value: String(limit.value),
    hysteresis: String(limit.hysteresis),
    leastOnMin: String(limit.leastOnMin),
    leastOffMin: String(limit.leastOffMin),
    staleAfterMin: String(limit.staleAfterMin),
  }));
  const [otherwise, setOtherwise] = useState<StateDraft>(
    draftOf(rule?.whenNotKnown ?? usualRest(kind)),
  );
  const [problem, setProblem] = useState<string>();
  const measured = by === 'GATE' || by === 'CUT_OUT';
  const windowed = by !== 'CUT_OUT';

  const read = (): LaneRule | string => {
    const does = readState(state);
    if (typeof does === 'string') return does;
    const inWindow = windowed && window !== '' ? window : undefined;
    if (by !== 'GATE' && windowed && inWindow === undefined)
      return 'Enter a name for the time window first.';
    if (by === 'FOLLOW_UP') {
      const steps = readSurges(surges, does);
      if (typeof steps === 'string') return steps;
      return { lane: laneId, kind: by, window: inWindow, steps };
    }
    if (!measured) return { lane: laneId, kind: by, window: inWindow, state: does };
    const typed = Object.fromEntries(
      NUMBERS.map(([field]) => [field, readNumber(numbers[field])]),
    ) as Record<NumberOf, number | null>;
    const missing = NUMBERS.find(([field]) => typed[field] === null);
    if (missing) return `“${missing[1]}” is a number.`;
    const fallback = readState(otherwise);
    if (typeof fallback === 'string') return fallback;
    return {
      lane: laneId,
      kind: by,
      window: inWindow,
      state: does,
      limit: { ...limit, ...(typed as Record<NumberOf, number>) },
      whenNotKnown: by === 'GATE' ? fallback : undefined,
    };
  };
  const save = () => {
    const made = read();
    if (typeof made === 'string') {
      setProblem(made);
      return;
    }
    change(withRule(schedule, made, rule));
    close();
  };
  const options = schedule.windows.map((w) => ({ value: w.id, label: w.name }));
  return (
    <Sheet
      open
      onOpenChange={close}
      title={`What ${lane.name} does`}
      about="If several rules apply at once, the higher one in the list wins."
    >
      <form
        className="grid gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        <Choice
          label="When"
          value={by}
          options={KINDS}
          onChange={(e) => setBy(e.target.value as LaneRule['kind'])}
        />
        {windowed && (
          <Choice
            label={by === 'FOLLOW_UP' ? 'After' : 'In'}
            value={window}
            options={by === 'GATE' ? [{ value: '', label: 'at any time' }, ...options] : options}
            onChange={(e) => setWindow(e.target.value)}
          />
        )}
        {measured && (
          <div className="flex flex-wrap items-start gap-3">
            <Choice
              label="While"
              className="w-44"
              value={limit.quantity}
              options={READ}
              onChange={(e) =>
                setLimit({ ...limit, quantity: e.target.value as Limit['quantity'] })
              }
            />
            <Choice
              label="is"
              className="w-32"
              value={limit.above ? 'above' : 'below'}
              options={[
                { value: 'below', label: 'lower' },
                { value: 'above', label: 'higher' },
              ]}
              onChange={(e) => setLimit({ ...limit, above: e.target.value === 'above' })}
            />
            {NUMBERS.map(([field, label, unit]) => (
              <Field
                key={field}
                label={label}
                unit={unit}
                className="w-36"
                inputMode="decimal"
                value={numbers[field]}
                onChange={(e) => setNumbers({ ...numbers, [field]: e.target.value })}
              />
            ))}
          </div>
        )}
        <StateFields label="State" kind={kind} value={state} onChange={setState} />
        {by === 'FOLLOW_UP' && (
          <div className="flex flex-wrap items-start gap-3">
            <Field
              label="Repeats"
              className="w-36"
              inputMode="numeric"
              value={surges.times}
              onChange={(e) => setSurges({ ...surges, times: e.target.value })}
            />
            <Lasting
              label="Each for"
              value={surges.lasts}
              onChange={(lasts) => setSurges({ ...surges, lasts })}
            />
            <Lasting
              label="Every"
              value={surges.apart}
              onChange={(apart) => setSurges({ ...surges, apart })}
            />
          </div>
        )}
        {by === 'GATE' && (
          <StateFields
            label="State without a reading"
            kind={kind}
            value={otherwise}
            onChange={setOtherwise}
          />
        )}
        <Refusal message={problem} />
        <div className="flex flex-wrap items-center gap-3">
          <Button look="main" type="submit">
            {rule ? 'Save' : 'Add'}
          </Button>
          {rule && (
            <Button
              look="quiet"
              onClick={() => {
                change(withoutRule(schedule, rule));
                close();
              }}
            >
              Remove
            </Button>
          )}
        </div>
      </form>
    </Sheet>
  );
}
