import type { InputName, Method, Place, RawUnit, Units } from '../../api/types';

/** One thing that can be measured, as the entry screen offers it. */
export interface Measurable {
  key: string;
  label: string;
  place: Place;
  units: readonly RawUnit[];
  methods: readonly Method[];
  /** The input of the staircase that it feeds, where it does. */
  feeds?: InputName;
  hint?: string;
}

const METER_OR_TOLD = ['METER', 'ESTIMATE'] as const;

const CO2_UNITS = ['CO2_PPM', 'CO2_PPM_UNCOMPENSATED'] as const;

export const IN_THE_TANK: readonly Measurable[] = [
  {
    key: 'ph',
    label: 'pH',
    place: 'TANK',
    units: ['PH_NBS', 'PH_TOTAL'],
    methods: ['PROBE', 'PROBE_CHECKED', 'COLOUR_KIT', 'ESTIMATE'],
    feeds: 'PH',
    hint: 'Most useful in the last hour before lights-on.',
  },
  {
    key: 'alkalinity',
    label: 'Alkalinity',
    place: 'TANK',
    units: ['DKH', 'MEQ_PER_L', 'PPM_CACO3'],
    methods: ['TITRATION_KIT', 'METER', 'ESTIMATE'],
    feeds: 'ALKALINITY',
  },
  {
    key: 'temperature',
    label: 'Temperature',
    place: 'TANK',
    units: ['CELSIUS', 'FAHRENHEIT'],
    methods: METER_OR_TOLD,
    feeds: 'TEMPERATURE',
  },
  {
    key: 'salinity',
    label: 'Salinity',
    place: 'TANK',
    units: ['PSU', 'SG_25', 'SG_20', 'MS_PER_CM'],
    methods: ['REFRACTOMETER', 'HYDROMETER', 'METER', 'ESTIMATE'],
    feeds: 'SALINITY',
    hint: 'Specific gravity: the instrument says at which temperature it is calibrated, 25 or 20 °C.',
  },
  {
    key: 'calcium',
    label: 'Calcium',
    place: 'TANK',
    units: ['CALCIUM_MG_PER_L'],
    methods: ['TITRATION_KIT', 'METER', 'ESTIMATE'],
  },
  {
    key: 'potassium',
    label: 'Potassium',
    place: 'TANK',
    units: ['POTASSIUM_MG_PER_L'],
    methods: ['TITRATION_KIT', 'COLOUR_KIT', 'METER', 'ESTIMATE'],
  },
  {
    key: 'magnesium',
    label: 'Magnesium',
    place: 'TANK',
    units: ['MAGNESIUM_MG_PER_L'],
    methods: ['TITRATION_KIT', 'METER', 'ESTIMATE'],
  },
  {
    key: 'ammonia',
    label: 'Ammonia (total)',
    place: 'TANK',
    units: ['AMMONIUM_MG_PER_L', 'AMMONIA_N_MG_PER_L'],
    methods: ['COLOUR_KIT', 'METER', 'ESTIMATE'],
    hint: 'After long outages, test daily until zero twice. A binder in the water confuses some kits.',
  },
  {
    key: 'nitrite',
    label: 'Nitrite',
    place: 'TANK',
    units: ['NITRITE_MG_PER_L', 'NITRITE_N_MG_PER_L'],
    methods: ['COLOUR_KIT', 'METER', 'ESTIMATE'],
  },
  {
    key: 'oxygen',
    label: 'Oxygen',
    place: 'TANK',
    units: ['OXYGEN_MG_PER_L', 'OXYGEN_PERCENT', 'OXYGEN_MG_PER_L_FRESH'],
    methods: ['METER', 'COLOUR_KIT', 'ESTIMATE'],
    hint: 'A meter without salinity setting reads about a fifth too high in seawater. Choose that unit.',
  },
];

export const IN_THE_AIR: readonly Measurable[] = [
  {
    key: 'room',
    label: 'CO2 in the room',
    place: 'ROOM',
    units: CO2_UNITS,
    methods: METER_OR_TOLD,
    feeds: 'ROOM_CO2',
    hint: 'Beside the tank, an arm’s length from any face.',
  },
  {
    key: 'intake',
    label: 'CO2 at the skimmer’s intake',
    place: 'INTAKE',
    units: CO2_UNITS,
    methods: METER_OR_TOLD,
  },
  {
    key: 'outdoors',
    label: 'CO2 outdoors',
    place: 'OUTDOORS',
    units: CO2_UNITS,
    methods: METER_OR_TOLD,
    feeds: 'OUTDOOR_CO2',
  },
];

export const EVERYTHING = [...IN_THE_TANK, ...IN_THE_AIR];

/** The unit offered first: the keeper's own. */
export function firstUnit(m: Measurable, units: Units): RawUnit {
  const own: Partial<Record<string, RawUnit>> = {
    alkalinity: units.alkalinity,
    temperature: units.temperature,
    salinity: units.salinity,
  };
  return own[m.key] ?? m.units[0] ?? 'PH_NBS';
}
