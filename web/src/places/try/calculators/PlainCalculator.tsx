import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Problem } from '../../../api/client';
import { keys } from '../../../api/keys';
import type { Units } from '../../../api/types';
import { measure, readAs, typed as typedAs, type Measure } from '../../../lib/measure';
import { saveText } from '../../../lib/file';
import { readNumber } from '../../../lib/number';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { useAtTank } from '../../../TankContext';
import { Answers, Source } from './Answers';
import { sumCsv } from './csv';

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
}

export interface PlainCalculatorProps<A> {
  name: string;
  example: string;
  asked: readonly Asked[];
  /** `n` holds the numbers that were given, `text` every field as typed. */
  ask: (n: Record<string, number | undefined>, text: Record<string, string>) => Promise<A>;
  answers: (answer: A, n: Record<string, number | undefined>, units: Units) => ReactNode;
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
  const sum = useQuery<A, Problem>({
    queryKey: keys.sum(name, typed),
    queryFn: () => ask(numbers, typed),
    enabled: !incomplete,
    placeholderData: (previous) => previous,
    retry: false,
    staleTime: Infinity,
  });
  const answer = sum.error || incomplete ? undefined : sum.data;
  const set = (key: string, text: string) => setTyped({ ...typed, [key]: text });
  return (
    <div className="grid gap-8 md:grid-cols-[20rem_1fr]">
      <div className="grid content-start gap-3">
        <p className="text-sm text-soft">{example}</p>
        {asked.map((a) =>
          a.options ? (
            <Choice
              key={a.key}
              label={a.label}
              value={typed[a.key]}
              options={a.options}
              onChange={(e) => set(a.key, e.target.value)}
            />
          ) : (
            <Field
              key={a.key}
              label={a.label}
              inputMode={a.text ? 'text' : 'decimal'}
              unit={a.as ? measure(a.as, units).label : a.unit}
              hint={typeof a.hint === 'function' ? a.hint(units) : a.hint}
              value={typed[a.key]}
              onChange={(e) => set(a.key, e.target.value)}
              error={
                unread(a)
                  ? (typed[a.key] ?? '').trim() === ''
                    ? 'Enter a number.'
                    : 'Enter a number.'
                  : sum.error?.at(a.field ?? a.key)
              }
            />
          ),
        )}
        <Button
          look="quiet"
          className="justify-self-start"
          disabled={JSON.stringify(typed) === JSON.stringify(start)}
          onClick={() => setTyped(start)}
        >
          Reset to the example
        </Button>
      </div>
      <Answers problem={sum.error} incomplete={incomplete}>
        {answer !== undefined && (
          <>
            {answers(answer, numbers, units)}
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
        )}
      </Answers>
    </div>
  );
}
