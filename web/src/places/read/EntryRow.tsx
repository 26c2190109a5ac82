import { useEffect, useId, useRef } from 'react';
import type { Method, RawUnit } from '../../api/types';
import { METHOD, RAW_UNIT } from '../../lib/units';
import { Choice } from '../../parts/Choice';
import type { Measurable } from './quantities';

export interface Entry {
  text: string;
  unit: RawUnit;
  method: Method;
}

/** One quantity: a large field, its unit, and how it was measured. */
export function EntryRow({
  measurable: m,
  entry,
  error,
  focus,
  onChange,
}: {
  measurable: Measurable;
  entry: Entry;
  error: string | undefined;
  focus: boolean;
  onChange: (entry: Entry) => void;
}) {
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (focus) field.current?.focus();
  }, [focus]);
  const active = entry.text.trim() !== '';
  return (
    <div className="border-t py-2">
      <div className="grid grid-cols-[1fr_8rem] items-center gap-x-4 md:grid-cols-[12rem_8rem_1fr]">
        <label htmlFor={id} className={`text-lg ${active ? 'font-bold' : ''}`}>
          {m.label}
        </label>
        <input
          id={id}
          ref={field}
          inputMode="decimal"
          autoComplete="off"
          value={entry.text}
          onChange={(e) => onChange({ ...entry, text: e.target.value })}
          aria-invalid={error ? true : undefined}
          aria-describedby={error || m.hint ? `${id}-note` : undefined}
          className="min-h-12 w-full rounded-sm border border-ink/40 bg-paper px-3 text-right text-2xl font-semibold focus:border-accent aria-invalid:border-2 aria-invalid:border-danger"
        />
        <div className="col-span-2 grid grid-cols-[9rem_1fr] gap-x-3 md:col-span-1">
          {m.units.length > 1 ? (
            <Choice
              hideLabel
              plain
              label={`Unit of ${m.label}`}
              value={entry.unit}
              onChange={(e) => onChange({ ...entry, unit: e.target.value as RawUnit })}
              options={m.units.map((u) => ({ value: u, label: RAW_UNIT[u].label }))}
            />
          ) : (
            <span className="flex min-h-11 items-center text-soft">
              {RAW_UNIT[entry.unit].label}
            </span>
          )}
          <Choice
            hideLabel
            plain
            label={`Method for ${m.label}`}
            value={entry.method}
            onChange={(e) => onChange({ ...entry, method: e.target.value as Method })}
            options={m.methods.map((method) => ({ value: method, label: METHOD[method] }))}
          />
        </div>
      </div>
      {error ? (
        <p id={`${id}-note`} role="alert" className="pt-1 text-sm font-semibold">
          ✕ {error}
        </p>
      ) : (
        m.hint &&
        (active || focus) && (
          <p id={`${id}-note`} className="pt-1 text-sm text-soft">
            {m.hint}
          </p>
        )
      )}
    </div>
  );
}
