import { getNonce } from 'get-nonce';
import { Select } from 'radix-ui';
import { useId, useState } from 'react';
import { BOX, LABEL, Remark, type Around } from './Around';
import { useComposed, type Typed } from './composed';

/** The list knows no empty value; a form does. */
const EMPTY = 'empty';
const inList = (value: string) => (value === '' ? EMPTY : value);

const PLAIN = 'min-h-11 w-full min-w-0 rounded-sm text-soft';

/** One of a list, opened by a press and searched by its first letters. */
export function Choice({
  label,
  hint,
  error,
  options,
  className = '',
  hideLabel = false,
  plain = false,
  disabled,
  ...typed
}: Around &
  Typed & {
    options: readonly { value: string; label: string }[];
    className?: string;
    hideLabel?: boolean;
    /** As words in a line, without a box around them. */
    plain?: boolean;
  }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const { shown, change, left, takesFocus } = useComposed(typed);
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : LABEL}>
        {label}
      </label>
      <Select.Root
        open={open}
        onOpenChange={(next) => {
          setOpen(next);
          if (!next) left();
        }}
        value={inList(shown)}
        disabled={disabled}
        onValueChange={(next) => change(next === EMPTY ? '' : next)}
      >
        <Select.Trigger
          ref={takesFocus}
          id={id}
          data-value={shown}
          className={`${plain ? PLAIN : BOX} flex items-center justify-between gap-2 text-left disabled:opacity-50`}
          aria-invalid={error ? true : undefined}
          aria-describedby={error || hint ? `${id}-note` : undefined}
        >
          <span className="truncate">
            <Select.Value>{options.find((o) => o.value === shown)?.label ?? ''}</Select.Value>
          </span>
          <Select.Icon className="shrink-0 text-soft">
            <Chevron />
          </Select.Icon>
        </Select.Trigger>
        {open && (
          <Select.Portal>
            <Select.Content
              position="popper"
              sideOffset={4}
              className="z-40 max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width) overflow-hidden rounded-sm border border-ink/40 bg-paper"
            >
              <Select.Viewport nonce={getNonce()}>
                {options.map((o) => (
                  <Select.Item
                    key={o.value}
                    value={inList(o.value)}
                    data-value={o.value}
                    className="flex min-h-11 items-center gap-2 py-1 pr-4 pl-2 text-lg outline-none data-highlighted:bg-dark"
                  >
                    <span className="w-5 shrink-0 text-accent">
                      <Select.ItemIndicator>✓</Select.ItemIndicator>
                    </span>
                    <Select.ItemText>{o.label}</Select.ItemText>
                  </Select.Item>
                ))}
              </Select.Viewport>
            </Select.Content>
          </Select.Portal>
        )}
      </Select.Root>
      <Remark id={`${id}-note`} hint={hint} error={error} />
    </div>
  );
}

const Chevron = () => (
  <svg width="14" height="9" viewBox="0 0 14 9" aria-hidden>
    <path d="M1 1l6 6 6-6" fill="none" stroke="currentColor" strokeWidth="2" />
  </svg>
);
