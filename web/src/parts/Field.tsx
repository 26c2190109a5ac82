import { useId, type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes } from 'react';

const BOX =
  'min-h-11 w-full rounded-sm border bg-paper px-3 text-lg border-ink/40 focus:border-accent aria-invalid:border-danger aria-invalid:border-2';

interface Around {
  label: string;
  hint?: ReactNode;
  error?: string;
}

/** A labelled input; the label is above, the unit behind, the error below in words. */
export function Field({
  label,
  hint,
  error,
  unit,
  className = '',
  ...rest
}: Around & { unit?: ReactNode } & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="block pb-1 text-sm text-soft">
        {label}
      </label>
      <div className="flex items-center gap-2">
        <input
          id={id}
          className={BOX}
          aria-invalid={error ? true : undefined}
          aria-describedby={error || hint ? `${id}-note` : undefined}
          autoComplete="off"
          {...rest}
        />
        {unit && <span className="shrink-0 text-soft">{unit}</span>}
      </div>
      <Note id={`${id}-note`} hint={hint} error={error} />
    </div>
  );
}

/** A labelled choice. The platform's own list is used: it is the one that every phone and reader knows. */
export function Choice({
  label,
  hint,
  error,
  options,
  className = '',
  hideLabel = false,
  ...rest
}: Around & {
  options: readonly { value: string; label: string }[];
  hideLabel?: boolean;
} & SelectHTMLAttributes<HTMLSelectElement>) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block pb-1 text-sm text-soft'}>
        {label}
      </label>
      <select
        id={id}
        className={BOX}
        aria-describedby={error || hint ? `${id}-note` : undefined}
        {...rest}
      >
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
      <Note id={`${id}-note`} hint={hint} error={error} />
    </div>
  );
}

function Note({ id, hint, error }: { id: string; hint?: ReactNode; error?: string }) {
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
