import type { ReactNode } from 'react';
import type { Problem } from '../../../api/client';

/** What is asked beside what comes of it; on a phone the answer stands above what is asked. */
export function Calculation({
  asked,
  answer,
  after,
  problem,
  incomplete,
}: {
  asked: ReactNode;
  answer: ReactNode;
  /** Tables, sources and all that nobody needs first. */
  after: ReactNode;
  problem: Problem | null;
  incomplete: boolean;
}) {
  return (
    <div className="grid gap-x-8 gap-y-6 md:grid-cols-[20rem_1fr] md:grid-rows-[auto_1fr]">
      <div className="md:col-start-2 md:border-l md:pl-8" aria-live="polite">
        {problem && !incomplete && (
          <p role="alert" className="text-lg font-semibold">
            ✕ {problem.message}
          </p>
        )}
        {incomplete && <p className="text-soft">Fill in all numbers to see the result.</p>}
        {answer}
      </div>
      <div className="grid content-start gap-3 border-t pt-4 md:col-start-1 md:row-span-2 md:row-start-1 md:border-t-0 md:pt-0">
        {asked}
      </div>
      <div className="md:col-start-2 md:border-l md:pl-8">{after}</div>
    </div>
  );
}

/** Answers that belong together. */
export function AnswerList({ children }: { children: ReactNode }) {
  return <dl className="grid grid-cols-2 gap-x-8 gap-y-3 lg:grid-cols-3">{children}</dl>;
}

export function Answer({
  label,
  value,
  unit,
  large = false,
}: {
  label: string;
  value: string;
  unit?: string;
  large?: boolean;
}) {
  return (
    <div className={large ? 'col-span-full' : ''}>
      <dt className="text-sm text-soft">{label}</dt>
      <dd className={large ? 'text-4xl font-bold' : 'text-xl font-semibold'}>
        {value}
        {unit && <span className="text-base font-normal"> {unit}</span>}
      </dd>
    </div>
  );
}

export function Source({ extrapolated, children }: { extrapolated: boolean; children: ReactNode }) {
  return (
    <div className="mt-4 border-t pt-2 text-sm text-soft">
      {extrapolated && (
        <p className="font-semibold">
          Extrapolated: salinity or temperature is outside the measured range of some constants.
        </p>
      )}
      <p>{children}</p>
    </div>
  );
}
