import { useState, type ReactNode } from 'react';
import type { Units } from '../../../api/types';
import { measure, readAs, typed as typedAs, type Measure } from '../../../lib/measure';
import { saveText } from '../../../lib/file';
import { readNumber } from '../../../lib/number';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Folded } from '../../../parts/Folded';
import { useAtTank } from '../../../TankContext';
import { Calculation, Source } from './Answers';
import { sumCsv } from './csv';
import { useCalculation } from './useCalculation';

/** A number that a sum asks for. */
export interface Asked {
  key: string;
  label: string;
  unit?: string;
  /** Asked in the keeper's own unit; `ask` has it in the server's. */
  as?: Measure;
  /** Of the worked example, in the server's unit. */
  start: string;
  /** May stay empty; the hint says what is taken instead. */
  optional?: boolean;
  hint?: string | ((units: Units) => string);
  /** Where the server names it differently. */
  field?: string;
  /** Words, not a number: the server reads them. */
  text?: boolean;
  options?: readonly { value: string; label: string }[];
  /** The folded group in which it stands; the first ones asked stand open. */
  group?: string;
}

export interface PlainCalculatorProps<A> {
  name: string;
  example: string;
  asked: readonly Asked[];
  /** `n` holds the numbers that were given, `text` every field as typed. */
  ask: (n: Record<string, number | undefined>, text: Record<string, string>) => Promise<A>;
  answers: (answer: A, n: Record<string, number | undefined>, units: Units) => ReactNode;
  /** What nobody needs first: on a phone it stands below what is asked. */
  after?: (answer: A, n: Record<string, number | undefined>, units: Units) => ReactNode;
  source: ReactNode;
}

const startText = (a: Asked, units: Units): string => {
  const value = readNumber(a.start);
  return a.as && value !== null ? typedAs(value, a.as, units) : a.start;
};

const read = (a: Asked, text: string, units: Units): number | undefined =>
  a.as ? readAs(text, a.as, units) : (readNumber(text) ?? undefined);

/** A sum of plain numbers: fields at the left, the answer at the right as one types. */
export function PlainCalculator<A>({
  name,
  example,
  asked,
  ask,
  answers,
  after,
  source,
}: PlainCalculatorProps<A>) {
  const { units } = useAtTank();
  const start = Object.fromEntries(asked.map((a) => [a.key, startText(a, units)]));
  const [typed, setTyped] = useState<Record<string, string>>(start);
  const numbers = Object.fromEntries(asked.map((a) => [a.key, read(a, typed[a.key] ?? '', units)]));
  const unread = (a: Asked) =>
    a.options === undefined &&
    (a.text ? (typed[a.key] ?? '').trim() === '' : numbers[a.key] === undefined) &&
    !(a.optional && (typed[a.key] ?? '').trim() === '');
  const incomplete = asked.some(unread);
  const sum = useCalculation(name, incomplete ? null : typed, () => ask(numbers, typed));
  const answer = sum.error || incomplete ? undefined : sum.data;
  const errorOf = (a: Asked) => (unread(a) ? 'Enter a number.' : sum.error?.at(a.field ?? a.key));
  const field = (a: Asked) => (
    <AskedField
      key={a.key}
      asked={a}
      value={typed[a.key] ?? ''}
      error={errorOf(a)}
      set={(text) => setTyped({ ...typed, [a.key]: text })}
    />
  );
  const groups = [...new Set(asked.flatMap((a) => a.group ?? []))];
  return (
    <Calculation
      problem={sum.error}
      incomplete={incomplete}
      asked={
        <>
          <p className="text-sm text-soft">{example}</p>
          {asked.filter((a) => a.group === undefined).map(field)}
          {groups.map((group) => {
            const inGroup = asked.filter((a) => a.group === group);
            return (
              <Folded
                key={group}
                title={group}
                needed={inGroup.some((a) => errorOf(a) !== undefined)}
              >
                <div className="grid gap-3 pb-4">{inGroup.map(field)}</div>
              </Folded>
            );
          })}
          <Button
            look="quiet"
            className="justify-self-start"
            disabled={JSON.stringify(typed) === JSON.stringify(start)}
            onClick={() => setTyped(start)}
          >
            Reset to the example
          </Button>
        </>
      }
      answer={answer !== undefined && answers(answer, numbers, units)}
      after={
        answer !== undefined && (
          <>
            {after?.(answer, numbers, units)}
            <Source extrapolated={false}>{source}</Source>
            <Button
              look="quiet"
              className="mt-2"
              onClick={() =>
                saveText(`${name}.csv`, 'text/csv', sumCsv(name, { ...typed }, answer))
              }
            >
              Save as CSV
            </Button>
          </>
        )
      }
    />
  );
}

function AskedField({
  asked,
  value,
  error,
  set,
}: {
  asked: Asked;
  value: string;
  error?: string;
  set: (text: string) => void;
}) {
  const { units } = useAtTank();
  return asked.options ? (
    <Choice
      label={asked.label}
      value={value}
      options={asked.options}
      onChange={(e) => set(e.target.value)}
    />
  ) : (
    <Field
      label={asked.label}
      inputMode={asked.text ? 'text' : 'decimal'}
      unit={asked.as ? measure(asked.as, units).label : asked.unit}
      hint={typeof asked.hint === 'function' ? asked.hint(units) : asked.hint}
      value={value}
      onChange={(e) => set(e.target.value)}
      error={error}
    />
  );
}
