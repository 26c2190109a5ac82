import type { Estimate, Method, Quantity, RawUnit, Units } from '../api/types';

/** Factors by definition: 1 dKH is 10 mg/L of CaO, CaCO3 is 100.0869 g/mol. */
const MEQ_PER: Record<Units['alkalinity'], number> = {
  DKH: 20 / 56.0774,
  MEQ_PER_L: 1,
  PPM_CACO3: 2 / 100.0869,
};

export const ALKALINITY: Record<Units['alkalinity'], { label: string; digits: number }> = {
  DKH: { label: 'dKH', digits: 1 },
  MEQ_PER_L: { label: 'meq/L', digits: 2 },
  PPM_CACO3: { label: 'ppm CaCO3', digits: 0 },
};

export function alkalinityFromMeq(meqPerL: number, unit: Units['alkalinity']): number {
  return meqPerL / MEQ_PER[unit];
}

/** A value with its band. */
export const bandFromMeq = (e: Estimate, unit: Units['alkalinity']): Estimate => ({
  value: alkalinityFromMeq(e.value, unit),
  low: alkalinityFromMeq(e.low, unit),
  high: alkalinityFromMeq(e.high, unit),
});

export function alkalinityToMeq(value: number, unit: Units['alkalinity']): number {
  return value * MEQ_PER[unit];
}

export function showAlkalinity(meqPerL: number, unit: Units['alkalinity']): string {
  return `${alkalinityFromMeq(meqPerL, unit).toFixed(ALKALINITY[unit].digits)} ${ALKALINITY[unit].label}`;
}

export function temperatureFromCelsius(celsius: number, unit: Units['temperature']): number {
  return unit === 'CELSIUS' ? celsius : celsius * 1.8 + 32;
}

export function showTemperature(celsius: number, unit: Units['temperature']): string {
  return `${temperatureFromCelsius(celsius, unit).toFixed(1)} ${unit === 'CELSIUS' ? '°C' : '°F'}`;
}

/** The US liquid gallon, 231 cubic inches by definition. */
export const LITRES: Record<Units['volume'], { label: string; litres: number }> = {
  LITRE: { label: 'L', litres: 1 },
  US_GALLON: { label: 'US gal', litres: 3.785411784 },
};

export const RAW_UNIT: Record<RawUnit, { label: string; digits: number; quantity: Quantity }> = {
  PH_NBS: { label: 'NBS scale', digits: 2, quantity: 'PH' },
  PH_TOTAL: { label: 'total scale', digits: 2, quantity: 'PH' },
  DKH: { label: 'dKH', digits: 1, quantity: 'ALKALINITY' },
  MEQ_PER_L: { label: 'meq/L', digits: 2, quantity: 'ALKALINITY' },
  PPM_CACO3: { label: 'ppm CaCO3', digits: 0, quantity: 'ALKALINITY' },
  CELSIUS: { label: '°C', digits: 1, quantity: 'TEMPERATURE' },
  FAHRENHEIT: { label: '°F', digits: 1, quantity: 'TEMPERATURE' },
  PSU: { label: 'psu', digits: 1, quantity: 'SALINITY' },
  SG_25: { label: 'SG 25/25 °C', digits: 4, quantity: 'SALINITY' },
  SG_20: { label: 'SG 20/20 °C', digits: 4, quantity: 'SALINITY' },
  MS_PER_CM: { label: 'mS/cm at 25 °C', digits: 1, quantity: 'SALINITY' },
  AMMONIUM_MG_PER_L: { label: 'mg/L NH3/NH4', digits: 2, quantity: 'AMMONIA' },
  AMMONIA_N_MG_PER_L: { label: 'mg/L as nitrogen', digits: 2, quantity: 'AMMONIA' },
  NITRITE_MG_PER_L: { label: 'mg/L NO2', digits: 2, quantity: 'NITRITE' },
  NITRITE_N_MG_PER_L: { label: 'mg/L as nitrogen', digits: 2, quantity: 'NITRITE' },
  CALCIUM_MG_PER_L: { label: 'mg/L Ca', digits: 0, quantity: 'CALCIUM' },
  POTASSIUM_MG_PER_L: { label: 'mg/L K', digits: 0, quantity: 'POTASSIUM' },
  MAGNESIUM_MG_PER_L: { label: 'mg/L Mg', digits: 0, quantity: 'MAGNESIUM' },
  OXYGEN_MG_PER_L: { label: 'mg/L', digits: 1, quantity: 'OXYGEN' },
  OXYGEN_MG_PER_L_FRESH: { label: 'mg/L, meter without salinity', digits: 1, quantity: 'OXYGEN' },
  OXYGEN_PERCENT: { label: '% saturation', digits: 0, quantity: 'OXYGEN' },
  CO2_PPM: { label: 'ppm', digits: 0, quantity: 'CO2' },
  CO2_PPM_UNCOMPENSATED: { label: 'ppm, meter ignores altitude', digits: 0, quantity: 'CO2' },
};

export const METHOD: Record<Method, string> = {
  PROBE: 'probe',
  PROBE_CHECKED: 'probe, checked in two buffers',
  COLOUR_KIT: 'colour kit',
  TITRATION_KIT: 'titration kit',
  METER: 'meter',
  REFRACTOMETER: 'refractometer',
  HYDROMETER: 'hydrometer',
  ESTIMATE: 'your estimate',
};
