import type { ReactNode } from 'react';
import type { Problem } from '../../../api/client';

/** The right-hand side of a sum. */
export function Answers({
  problem,
  incomplete,
  children,
}: {
  problem: Problem | null;
  incomplete: boolean;
  children: ReactNode;
}) {
  return (
    <div className="border-t pt-4 md:border-t-0 md:border-l md:pt-0 md:pl-8" aria-live="polite">
      {problem && !incomplete && (
        <p role="alert" className="text-lg font-semibold">
          ✕ {problem.message}
        </p>
      )}
      {incomplete && <p className="text-soft">Fill in all numbers to see the result.</p>}
      {children}
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
