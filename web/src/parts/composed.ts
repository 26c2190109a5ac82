import { useCallback, useImperativeHandle, useRef, useState, type Ref } from 'react';

/** A change as a platform's input reports it. */
export interface Changed {
  target: { name?: string; value: string };
  type: string;
}

/** What a form's `register`, or a plain value with its handler, gives to a control that is composed of several parts. */
export interface Typed {
  name?: string;
  value?: string;
  ref?: Ref<unknown>;
  disabled?: boolean;
  onChange?: (change: Changed) => unknown;
  onBlur?: (change: Changed) => unknown;
}

/**
 * Lets a form hold a composed control as it holds an input: the form reads, writes and focuses the handle.
 *
 * @returns what is shown, how it changes, that it was left, and where the focus goes
 */
export function useComposed({ name, value, ref, onChange, onBlur }: Typed) {
  const [own, setOwn] = useState('');
  const latest = useRef('');
  const focused = useRef<HTMLElement>(null);
  const hold = useCallback((next: string) => {
    latest.current = next;
    setOwn(next);
  }, []);
  const [handle] = useState(() => ({
    name,
    get value() {
      return latest.current;
    },
    set value(next: string) {
      hold(next);
    },
    focus: () => focused.current?.focus(),
  }));
  useImperativeHandle(ref, () => handle, [handle]);
  const told = (type: string, next: string): Changed => ({ type, target: { name, value: next } });
  return {
    shown: value ?? own,
    change: (next: string) => {
      hold(next);
      // What listens for a change of any input hears of this one too.
      focused.current?.dispatchEvent(new Event('input', { bubbles: true }));
      onChange?.(told('change', next));
    },
    left: () => onBlur?.(told('blur', value ?? latest.current)),
    takesFocus: useCallback((part: HTMLElement | null) => {
      focused.current = part;
    }, []),
  };
}
