import type { EventKind } from '../api/types';

export const EVENT_NAMES: Record<EventKind, string> = {
  REMEDY: 'remedy',
  FAULT: 'fault',
  ADDITIVE: 'additive',
  SEASON: 'season',
  PEOPLE: 'people',
  SMOKE: 'smoke or fumes',
  MAINTENANCE: 'maintenance',
  EXPERIMENT: 'experiment',
  OTHER: 'other',
};

export const EVENT_KINDS = Object.keys(EVENT_NAMES) as EventKind[];
