import type { SurfaceMotion, TankDescription, Units } from '../../api/types';
import { readAs, typed } from '../../lib/measure';
import { plain, readNumber } from '../../lib/number';
import { z } from '../../lib/zod';
import { number, numberOrNothing, time } from '../../lib/checks';
import { NO_PARTS, partsSchema, toParts, toPartsForm } from './partsForm';

/** How a surface moves, as one sees it. */
export const MOTIONS: readonly { value: SurfaceMotion; label: string }[] = [
  { value: 'STILL', label: 'still: like a mirror' },
  { value: 'RIPPLED', label: 'rippled: small waves' },
  { value: 'ROLLING', label: 'rolling: rises and falls' },
  { value: 'BROKEN', label: 'broken: white water' },
];

/** Whether there is a skimmer: nothing left empty says that there is none. */
export const SKIMMERS = [
  { value: '', label: 'choose' },
  { value: 'UNKNOWN', label: 'yes, air draw unknown' },
  { value: 'KNOWN', label: 'yes, air draw known' },
  { value: 'NONE', label: 'no skimmer' },
] as const;

const skimmers = SKIMMERS.map((s) => s.value);

/** The form as it is typed: every number still text. */
const fields = z.object({
  name: z.string().trim().min(1, 'Enter a name for the tank.').max(80, 'At most 80 characters.'),
  about: z.string().max(1000, 'At most 1000 characters.'),
  netVolume: number('The volume'),
  surfaces: z.array(
    z.object({
      name: z.string().trim().min(1, 'Enter a name: display, sump…'),
      areaM2: number('The area'),
      motion: z.enum(['STILL', 'RIPPLED', 'ROLLING', 'BROKEN']),
      over: z.enum(['ROOM', 'CANOPY', 'CABINET', 'OUTDOORS']),
    }),
  ),
  on: time,
  off: time,
  followsClockChanges: z.boolean(),
  rampMinutes: numberOrNothing('The ramp'),
  skimmer: z.enum(skimmers),
  skimmerAirDrawLPerH: numberOrNothing('The air draw'),
  parts: partsSchema,
  stance: z.enum(['LIFT', 'STEADY']),
  troughAtLeast: number('The daily low'),
  peakAtMost: number('The daily high'),
  actBelow: number('The action level'),
  reason: z.string().max(300, 'At most 300 characters.'),
  assumptions: z.object({
    settlingHours: numberOrNothing('This'),
    outdoorPpm: numberOrNothing('This'),
    probeErrorPh: numberOrNothing('This'),
    alkalinityErrorDkh: numberOrNothing('This'),
    co2MeterErrorPpm: numberOrNothing('This'),
    lowAlkalinityDkh: numberOrNothing('This'),
    normalAlkalinityDkh: numberOrNothing('This'),
    skimmerWaterPerAir: numberOrNothing('This'),
    skimmerTransferUnits: numberOrNothing('This'),
    skimmerResidenceS: numberOrNothing('This'),
    skimmerSuctionPa: numberOrNothing('This'),
    outageDemandDoubt: numberOrNothing('This'),
    outageStillCmPerH: numberOrNothing('This'),
    outageStartDoubtMgPerL: numberOrNothing('This'),
    outageFishActivity: numberOrNothing('This'),
  }),
});

export const tankSchema = fields.superRefine((v, found) => {
  if (v.skimmer === '')
    found.addIssue({
      code: 'custom',
      path: ['skimmer'],
      message: 'Choose one. Much of the air enters through the skimmer.',
    });
  if (v.skimmer === 'KNOWN' && v.skimmerAirDrawLPerH.trim() === '')
    found.addIssue({
      code: 'custom',
      path: ['skimmerAirDrawLPerH'],
      message: 'Enter the air draw or choose “air draw unknown”.',
    });
});

export type TankForm = z.infer<typeof tankSchema>;
export type AssumptionName = keyof TankForm['assumptions'];

/** The defaults of the core, shown where a field is empty. */
export const ASSUMED: Record<AssumptionName, { label: string; unit: string; instead: string }> = {
  settlingHours: {
    label: 'Time the water takes to follow the room',
    unit: 'h',
    instead: 'computed from surfaces and skimmer, otherwise 12',
  },
  outdoorPpm: { label: 'Outdoor CO2 when none was measured', unit: 'ppm', instead: '420' },
  probeErrorPh: { label: 'Error of an unchecked probe', unit: 'pH', instead: '0.1' },
  alkalinityErrorDkh: { label: 'Error of the alkalinity test', unit: 'dKH', instead: '0.3' },
  co2MeterErrorPpm: { label: 'Error of the CO2 meter', unit: 'ppm', instead: '50' },
  lowAlkalinityDkh: { label: 'Alkalinity is low below', unit: 'dKH', instead: '7' },
  normalAlkalinityDkh: { label: 'Alkalinity is compared with', unit: 'dKH', instead: '8' },
  skimmerWaterPerAir: { label: 'Skimmer: water for each litre of air', unit: 'L', instead: '1.5' },
  skimmerTransferUnits: { label: 'Skimmer: transfer units of its contact', unit: '', instead: '2' },
  skimmerResidenceS: { label: 'Skimmer: contact time of the water', unit: 's', instead: '20' },
  skimmerSuctionPa: {
    label: 'Skimmer: suction with the inlet shut',
    unit: 'Pa',
    instead: '1000, between 500 and 2500',
  },
  outageDemandDoubt: {
    label: 'Outage: respiration may be this many times higher or lower',
    unit: '',
    instead: '1.25',
  },
  outageStillCmPerH: {
    label: 'Outage: gas transfer of the still surface',
    unit: 'cm/h',
    instead: '1.5, from 1 to 2.5',
  },
  outageStartDoubtMgPerL: {
    label: 'Outage: oxygen at the start, if not measured, may be lower by',
    unit: 'mg/L',
    instead: '0.4',
  },
  outageFishActivity: {
    label: 'Outage: respiration of fish compared with rest',
    unit: '',
    instead: '1.5, from 1 to 2',
  },
};

export const ASSUMPTION_NAMES = Object.keys(ASSUMED) as AssumptionName[];

const optional = (value: number | undefined) => (value === undefined ? '' : plain(value, 4));

export function toForm(tank: TankDescription, units: Units): TankForm {
  return {
    name: tank.name,
    about: tank.about,
    netVolume: typed(tank.netVolumeL, 'volume', units),
    surfaces: tank.surfaces.map((s) => ({
      ...s,
      areaM2: typed(s.areaM2, 'area', units),
      over: s.over ?? 'ROOM',
    })),
    on: tank.light.on,
    off: tank.light.off,
    followsClockChanges: tank.light.followsClockChanges,
    rampMinutes: tank.light.rampMinutes ? plain(tank.light.rampMinutes) : '',
    skimmer:
      tank.skimmerAirDrawLPerH !== undefined
        ? 'KNOWN'
        : tank.parts?.skimmerDrawUnknown
          ? 'UNKNOWN'
          : 'NONE',
    skimmerAirDrawLPerH: optional(tank.skimmerAirDrawLPerH),
    parts: toPartsForm(tank.parts ?? {}, units),
    stance: tank.stance,
    troughAtLeast: plain(tank.band.troughAtLeast),
    peakAtMost: plain(tank.band.peakAtMost),
    actBelow: plain(tank.band.actBelow),
    reason: tank.band.reason,
    assumptions: Object.fromEntries(
      ASSUMPTION_NAMES.map((n) => [n, optional(tank.assumptions[n])]),
    ) as TankForm['assumptions'],
  };
}

const read = (text: string) => readNumber(text) ?? Number.NaN;
const readOptional = (text: string) => readNumber(text) ?? undefined;

/** What the server is sent; the schema has made sure that every number reads. */
export function toDescription(form: TankForm, units: Units): TankDescription {
  return {
    name: form.name,
    about: form.about,
    netVolumeL: readAs(form.netVolume, 'volume', units) ?? Number.NaN,
    surfaces: form.surfaces.map((s) => ({
      ...s,
      areaM2: readAs(s.areaM2, 'area', units) ?? Number.NaN,
    })),
    light: {
      on: form.on,
      off: form.off,
      followsClockChanges: form.followsClockChanges,
      rampMinutes: readOptional(form.rampMinutes),
    },
    skimmerAirDrawLPerH:
      form.skimmer === 'KNOWN' ? readOptional(form.skimmerAirDrawLPerH) : undefined,
    parts: {
      ...toParts(form.parts, units),
      skimmerDrawUnknown: form.skimmer === 'UNKNOWN' || undefined,
    },
    stance: form.stance,
    band: {
      troughAtLeast: read(form.troughAtLeast),
      peakAtMost: read(form.peakAtMost),
      actBelow: read(form.actBelow),
      reason: form.reason,
    },
    assumptions: Object.fromEntries(
      ASSUMPTION_NAMES.map((n) => [n, readOptional(form.assumptions[n])]),
    ),
  };
}

export const NEW_TANK: TankForm = {
  name: '',
  about: '',
  netVolume: '',
  surfaces: [{ name: 'display', areaM2: '', motion: 'ROLLING', over: 'ROOM' }],
  on: '10:00',
  off: '21:00',
  followsClockChanges: true,
  rampMinutes: '',
  skimmer: '',
  skimmerAirDrawLPerH: '',
  parts: NO_PARTS,
  stance: 'LIFT',
  troughAtLeast: '8.0',
  peakAtMost: '8.4',
  actBelow: '7.8',
  reason: '',
  assumptions: Object.fromEntries(ASSUMPTION_NAMES.map((n) => [n, ''])) as TankForm['assumptions'],
};

/** What a keeper calls it, wants of it and assumes makes no other tank of it. */
const WISHES: readonly string[] = [
  'name',
  'about',
  'stance',
  'troughAtLeast',
  'peakAtMost',
  'actBelow',
  'reason',
  'assumptions',
] satisfies (keyof TankForm)[];

export const touchesTheTank = (dirty: Partial<Record<keyof TankForm, unknown>>) =>
  Object.entries(dirty).some(([field, touched]) => touched && !WISHES.includes(field));

/** Where a server's field stands in the form. */
export function formPath(field: string): string {
  const renamed: Record<string, string> = {
    netVolumeL: 'netVolume',
    'light.on': 'on',
    'light.off': 'off',
    'band.reason': 'reason',
    areaM2: 'surfaces.0.areaM2',
    fallFlowLPerH: 'parts.falls.0.flowLPerH',
    fallEfficiency: 'parts.falls.0.efficiency',
    fishCount: 'parts.fish.0.count',
    fishMassG: 'parts.fish.0.massG',
    lengthM: 'parts.lineLengthM',
    boreMm: 'parts.lineBoreMm',
    'parts.skimmerLine.drawnLPerH': 'parts.lineDrawnLPerH',
    alkalinityUseDkhPerDay: 'parts.alkalinityUseDkhPerDay',
    effluentLPerH: 'parts.reactor.effluentLPerH',
    effluentPhNbs: 'parts.reactor.effluentPhNbs',
    effluentMeqPerL: 'parts.reactor.effluentDkh',
    refugiumMmolPerH: 'parts.refugium.mmolPerH',
  };
  const inside = field.replace(/^description\./, '').replace(/\[(\d+)\]/g, '.$1');
  if (renamed[inside]) return renamed[inside];
  return ASSUMPTION_NAMES.some((n) => n === inside) ? `assumptions.${inside}` : inside;
}
