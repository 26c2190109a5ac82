import { useState } from 'react';

const PREFIX = 'typed-';
const OWNER = 'typed-by';

/** What was typed and not sent yet, in this tab: a reload, the way back and a new sign-in find it again. */
export function readTyped(key: string): unknown {
  try {
    const text = sessionStorage.getItem(PREFIX + key);
    return text === null ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Undefined forgets it. A tab that may keep nothing still works. */
export function keepTyped(key: string, typed: unknown) {
  try {
    if (typed === undefined) sessionStorage.removeItem(PREFIX + key);
    else sessionStorage.setItem(PREFIX + key, JSON.stringify(typed));
  } catch {
    // Full, or not allowed: then it lives as long as the page.
  }
}

/** What one keeper typed is not shown to the next one at this tab. */
export function typedBy(keeper: string) {
  try {
    if (sessionStorage.getItem(OWNER) === keeper) return;
    Object.keys(sessionStorage)
      .filter((name) => name.startsWith(PREFIX))
      .forEach((name) => sessionStorage.removeItem(name));
    sessionStorage.setItem(OWNER, keeper);
  } catch {
    // Nothing is kept then.
  }
}

/** A state that is kept as long as it differs from where it began; the third forgets it and begins anew. */
export function useTyped<T>(
  key: string,
  begin: () => T,
): [T, (next: T | ((before: T) => T)) => void, () => void] {
  const [value, setValue] = useState<T>(() => (readTyped(key) as T | undefined) ?? begin());
  const set = (next: T | ((before: T) => T)) =>
    setValue((before) => {
      const after = next instanceof Function ? next(before) : next;
      keepTyped(key, JSON.stringify(after) === JSON.stringify(begin()) ? undefined : after);
      return after;
    });
  const forget = () => {
    keepTyped(key, undefined);
    setValue(begin());
  };
  return [value, set, forget];
}
