import { useEffect, useState } from 'react';
import { serverNow } from '../api/clock';

/** The present, looked at every few seconds. */
export function useNow(): number {
  const [now, setNow] = useState(() => serverNow().getTime());
  useEffect(() => {
    const look = () => setNow(serverNow().getTime());
    const timer = setInterval(look, 10_000);
    // A phone that slept shows the right time as soon as it is looked at.
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return now;
}
