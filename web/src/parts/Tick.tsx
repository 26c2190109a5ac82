import { useId, type InputHTMLAttributes, type ReactNode } from 'react';

/** A box to tick, with its words. */
export function Tick({
  children,
  error,
  className = '',
  ...rest
}: { children: ReactNode; error?: string } & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <div className={className}>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-accent"
          aria-describedby={error ? `${id}-note` : undefined}
          {...rest}
        />
        {children}
      </label>
      {error && (
        <p id={`${id}-note`} role="alert" className="text-sm font-semibold">
          ✕ {error}
        </p>
      )}
    </div>
  );
}
