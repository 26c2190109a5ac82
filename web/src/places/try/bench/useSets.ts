import { getRouteApi } from '@tanstack/react-router';
import { useEffect, useRef, useState } from 'react';
import type { NamedSet } from './sets';

const route = getRouteApi('/signed-in/tank/$tankId/bench');
const FOLLOWS_MS = 150;
const FIRST: NamedSet[] = [{ name: 'A', put: [] }];

/** The sets on the bench. A slider moves faster than the address needs to: it follows when the hand rests. */
export function useSets(): [NamedSet[], (changed: NamedSet[]) => void] {
  const linked = route.useSearch().sets ?? FIRST;
  const navigate = route.useNavigate();
  const [sets, setSets] = useState(linked);
  const address = useRef(JSON.stringify(linked));
  useEffect(() => {
    const now = JSON.stringify(linked);
    if (now === address.current) return;
    // Another address was opened: a link, or back.
    address.current = now;
    setSets(linked);
  }, [linked]);
  useEffect(() => {
    const now = JSON.stringify(sets);
    if (now === address.current) return undefined;
    const timer = setTimeout(() => {
      address.current = now;
      void navigate({ search: (before) => ({ ...before, sets }), replace: true });
    }, FOLLOWS_MS);
    return () => clearTimeout(timer);
  }, [sets, navigate]);
  return [sets, setSets];
}
