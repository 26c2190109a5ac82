import { useTanks } from '../api/homes';
import type { Tank } from '../api/types';

const KEY = 'last-tank';

/** Which tank this browser looked at last, so that the door opens there. */
export const lastTank = {
  get: () => localStorage.getItem(KEY),
  set: (id: string) => localStorage.setItem(KEY, id),
};

/** That tank, else the largest, which is the main tank in most homes; none before the first description. */
export function useLastTank(): Tank | undefined {
  return pickTank(useTanks().data ?? []);
}

export function pickTank(tanks: Tank[]): Tank | undefined {
  const last = tanks.find((t) => t.id === lastTank.get());
  return last ?? [...tanks].sort((a, b) => b.description.netVolumeL - a.description.netVolumeL)[0];
}
