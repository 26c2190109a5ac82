import type { Due } from '../api/types';
import { ROUTE } from './places';

/** On which screen something that is due is done. */
export const DUE_AT = {
  KIT: ROUTE.readiness,
  MEDIA: ROUTE.media,
  DOSES: ROUTE.dosing,
  SCHEDULE: ROUTE.schedule,
  PROBE: ROUTE.probe,
  EXPERIMENT: ROUTE.experiment,
  UPKEEP: ROUTE.upkeep,
  SUPPLIES: ROUTE.supplies,
  TEST: ROUTE.addToLog,
  SPIKE: ROUTE.dosing,
} as const satisfies Record<Due['subject'], string>;
