import type { Place, Quantity } from '../../api/types';

/** Quantities in running text. */
export const NAMES: Record<Quantity, string> = {
  PH: 'pH',
  ALKALINITY: 'alkalinity',
  TEMPERATURE: 'temperature',
  SALINITY: 'salinity',
  CALCIUM: 'calcium',
  POTASSIUM: 'potassium',
  MAGNESIUM: 'magnesium',
  AMMONIA: 'ammonia',
  NITRITE: 'nitrite',
  OXYGEN: 'oxygen',
  CO2: 'CO2',
};

/** Where, behind the quantity; what is measured in the tank needs no word. */
export const PLACE: Record<Place, string> = {
  TANK: '',
  ROOM: ', room',
  INTAKE: ', intake',
  OUTDOORS: ', outdoors',
};
