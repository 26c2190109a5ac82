import { useId, type InputHTMLAttributes, type ReactNode } from 'react';
import { BOX, LABEL, Remark, type Around } from './Around';

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
      <label htmlFor={id} className={LABEL}>
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
      <Remark id={`${id}-note`} hint={hint} error={error} />
    </div>
  );
}
