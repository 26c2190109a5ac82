import { useEffect, useState } from 'react';

const PAUSE_MS = 400;

/** What is typed, once its writer pauses: half a number asks for nothing. */
export function useLater<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const pause = setTimeout(() => setSettled(value), PAUSE_MS);
    return () => clearTimeout(pause);
  }, [value]);
  return settled;
}
