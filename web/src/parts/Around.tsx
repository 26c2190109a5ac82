import type { ReactNode } from 'react';

/** What stands around every field: the label above, a hint or the error in words below. */
export interface Around {
  label: string;
  hint?: ReactNode;
  error?: string;
}

export const BOX =
  'min-h-11 w-full rounded-sm border bg-paper px-3 text-lg border-ink/40 focus:border-accent aria-invalid:border-danger aria-invalid:border-2';

export const LABEL = 'block pb-1 text-sm text-soft';

export function Remark({ id, hint, error }: { id: string; hint?: ReactNode; error?: string }) {
  if (!hint && !error) return null;
  return (
    <p id={id} className="pt-1 text-sm" role={error ? 'alert' : undefined}>
      {error ? (
        <span className="font-semibold">✕ {error}</span>
      ) : (
        <span className="text-soft">{hint}</span>
      )}
    </p>
  );
}
