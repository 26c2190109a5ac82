import type { InputName } from '../../api/types';

export const INPUT_NAMES: Record<InputName, string> = {
  PH: 'pH in the tank',
  ALKALINITY: 'alkalinity',
  TEMPERATURE: 'temperature',
  SALINITY: 'salinity',
  ROOM_CO2: 'room CO2',
  OUTDOOR_CO2: 'outdoor CO2',
};
