import type { TankPart } from '../api/types';

/** What of a description can change, in words. */
export const PARTS: Record<TankPart, string> = {
  WATER: 'its volume',
  SURFACES: 'its surfaces',
  LIGHT: 'its light',
  SKIMMER: 'its skimmer',
  HOSE: 'its fixed hose',
  FALLS: 'its falls',
  STONES: 'its stones',
  CANOPY: 'its canopy',
  CABINET: 'its cabinet',
  FISH: 'its fish',
  LIVESTOCK: 'what lives in it',
  DOSING: 'what it is dosed with',
  REACTOR: 'its calcium reactor',
  REFUGIUM: 'its refugium',
  FILTER: 'its filter',
};
