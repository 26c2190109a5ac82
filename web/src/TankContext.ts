import { createContext, useContext } from 'react';
import type { Tank, Units } from './api/types';

export const TankContext = createContext<{ tank: Tank; units: Units } | null>(null);

/** The tank that the address names, and the keeper's units. */
export function useAtTank(): { tank: Tank; units: Units } {
  const value = useContext(TankContext);
  if (!value) throw new Error('outside of a tank');
  return value;
}
