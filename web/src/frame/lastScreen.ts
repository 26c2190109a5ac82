import { useEffect } from 'react';
import { ROUTE, type Place, type ScreenPath } from './places';

const KEY = 'last-screen';

/** Which screen of each place was looked at last in this window. */
function kept(): Record<string, string> {
  try {
    return JSON.parse(sessionStorage.getItem(KEY) ?? '{}') as Record<string, string>;
  } catch {
    return {};
  }
}

/** Where a place opens: at the screen last used of it, else at its first. */
export function opensAt(place: Place): (typeof ROUTE)[ScreenPath] {
  const last = kept()[place.name];
  const screen = place.screens.find((s) => s.path === last) ?? place.screens[0];
  return ROUTE[screen.path];
}

/** Remembers the screen that is open. */
export function useRemember(place: Place | undefined, path: string | undefined): void {
  const name = place?.name;
  useEffect(() => {
    if (name && path) sessionStorage.setItem(KEY, JSON.stringify({ ...kept(), [name]: path }));
  }, [name, path]);
}
