import type { TankDescription, TankParts, Units } from '../../api/types';
import { readAs, typed } from '../../lib/measure';
import { plain, readNumber } from '../../lib/number';
import { z } from '../../lib/zod';
import { number, numberOrNothing, time } from '../../lib/checks';

const over = z.enum(['ROOM', 'CANOPY', 'CABINET', 'OUTDOORS']);
const door = z.enum(['NONE', 'SHUT', 'AJAR', 'OPEN', 'FAN']);

/** What stands around the tank and lives in it, as it is typed. */
export const partsSchema = z
  .object({
    falls: z.array(
      z.object({
        name: z.string().trim().min(1, 'Enter a name: overflow, drain…'),
        flowLPerH: number('The flow'),
        over,
        efficiency: numberOrNothing('The share'),
      }),
    ),
    canopy: door,
    cabinet: door,
    skimmerInCabinet: z.boolean(),
    canister: z.enum(['UNSAID', 'YES', 'NO']),
    livestock: z.enum([
      'UNSAID',
      'FISH_ONLY',
      'SOFT_CORALS',
      'MIXED_REEF',
      'STONY_CORALS',
      'PLANTS',
    ]),
    stone: z.object({
      airLPerH: numberOrNothing('The air'),
      depthM: numberOrNothing('The depth'),
      outdoors: z.boolean(),
    }),
    lineLengthM: numberOrNothing('The length'),
    lineBoreMm: numberOrNothing('The bore'),
    lineDrawnLPerH: numberOrNothing('The draw'),
    noFish: z.boolean(),
    fish: z.array(
      z.object({
        name: z.string().trim().min(1, 'Which?').max(80, 'At most 80 characters.'),
        count: number('How many'),
        massG: number('The mass'),
      }),
    ),
    alkalinitySource: z.enum([
      'SODA_ASH',
      'BICARBONATE',
      'SODIUM_HYDROXIDE',
      'POTASSIUM_HYDROXIDE',
      'LIMEWATER',
    ]),
    alkalinityUseDkhPerDay: numberOrNothing('The use'),
    reactor: z.object({
      effluentLPerH: numberOrNothing('The flow'),
      effluentPhNbs: numberOrNothing('The pH'),
      effluentDkh: numberOrNothing('The alkalinity'),
    }),
    refugium: z.object({ mmolPerH: numberOrNothing('The uptake'), on: time, off: time }),
  })
  .superRefine((form, context) => {
    const hose = ['lineLengthM', 'lineBoreMm'] as const;
    const given = hose.filter((key) => form[key].trim() !== '');
    if (given.length === 2 || (given.length === 0 && form.lineDrawnLPerH.trim() === '')) return;
    hose
      .filter((key) => form[key].trim() === '')
      .forEach((key) =>
        context.addIssue({
          code: 'custom',
          path: [key],
          message: 'Enter the length and diameter of the hose.',
        }),
      );
  });

export type PartsForm = z.infer<typeof partsSchema>;

const text = (value: number | undefined) => (value === undefined ? '' : plain(value, 4));

/** Nothing is there: in no unit. */
export const NO_PARTS: PartsForm = toPartsForm(
  {},
  {
    alkalinity: 'DKH',
    temperature: 'CELSIUS',
    salinity: 'PSU',
    volume: 'LITRE',
  },
);

export function toPartsForm(parts: NonNullable<TankDescription['parts']>, units: Units): PartsForm {
  return {
    falls: (parts.falls ?? []).map((f) => ({
      name: f.name,
      flowLPerH: typed(f.flowLPerH, 'flow', units),
      over: f.over ?? 'ROOM',
      efficiency: text(f.efficiency),
    })),
    canopy: parts.canopy ?? 'NONE',
    cabinet: parts.cabinet ?? 'NONE',
    skimmerInCabinet: parts.skimmerInCabinet ?? false,
    canister: parts.canister === undefined ? 'UNSAID' : parts.canister ? 'YES' : 'NO',
    livestock: parts.livestock ?? 'UNSAID',
    stone: {
      airLPerH: text(parts.stones?.[0]?.airLPerH),
      depthM: typed(parts.stones?.[0]?.depthM, 'length', units),
      outdoors: parts.stones?.[0]?.outdoors ?? false,
    },
    lineLengthM: typed(parts.skimmerLine?.lengthM, 'length', units),
    lineBoreMm: typed(parts.skimmerLine?.boreMm, 'bore', units),
    lineDrawnLPerH: text(parts.skimmerLine?.drawnLPerH),
    noFish: parts.noFish ?? false,
    fish: (parts.fish ?? []).map((f) => ({
      name: f.name,
      count: String(f.count),
      massG: plain(f.massG),
    })),
    alkalinitySource: parts.alkalinitySource ?? 'SODA_ASH',
    alkalinityUseDkhPerDay: text(parts.alkalinityUseDkhPerDay),
    reactor: {
      effluentLPerH: text(parts.reactor?.effluentLPerH),
      effluentPhNbs: text(parts.reactor?.effluentPhNbs),
      effluentDkh: text(parts.reactor?.effluentDkh),
    },
    refugium: {
      mmolPerH: text(parts.refugium?.mmolPerH),
      on: parts.refugium?.on ?? '21:00',
      off: parts.refugium?.off ?? '09:00',
    },
  };
}

const read = (typed: string) => readNumber(typed) ?? Number.NaN;
const readOptional = (typed: string) => readNumber(typed) ?? undefined;

export function toParts(form: PartsForm, units: Units): TankParts {
  const lengthM = readAs(form.lineLengthM, 'length', units);
  const boreMm = readAs(form.lineBoreMm, 'bore', units);
  const flow = readOptional(form.reactor.effluentLPerH);
  const algae = readOptional(form.refugium.mmolPerH);
  const air = readOptional(form.stone.airLPerH);
  return {
    livestock: form.livestock === 'UNSAID' ? undefined : form.livestock,
    stones:
      air === undefined
        ? undefined
        : [
            {
              airLPerH: air,
              depthM: readAs(form.stone.depthM, 'length', units),
              outdoors: form.stone.outdoors,
            },
          ],
    falls: form.falls.map((f) => ({
      name: f.name,
      flowLPerH: readAs(f.flowLPerH, 'flow', units) ?? Number.NaN,
      over: f.over,
      efficiency: readOptional(f.efficiency),
    })),
    canopy: form.canopy === 'NONE' ? undefined : form.canopy,
    cabinet: form.cabinet === 'NONE' ? undefined : form.cabinet,
    skimmerInCabinet: form.skimmerInCabinet,
    canister: form.canister === 'UNSAID' ? undefined : form.canister === 'YES',
    skimmerLine:
      lengthM !== undefined && boreMm !== undefined
        ? { lengthM, boreMm, drawnLPerH: readOptional(form.lineDrawnLPerH) }
        : undefined,
    noFish: form.noFish && form.fish.length === 0,
    fish: form.fish.map((f) => ({
      name: f.name,
      count: Math.trunc(read(f.count)),
      massG: read(f.massG),
    })),
    alkalinitySource: form.alkalinitySource,
    alkalinityUseDkhPerDay: readOptional(form.alkalinityUseDkhPerDay),
    reactor:
      flow === undefined
        ? undefined
        : {
            effluentLPerH: flow,
            effluentPhNbs: readOptional(form.reactor.effluentPhNbs) ?? 6.7,
            effluentDkh: readOptional(form.reactor.effluentDkh) ?? 30,
          },
    refugium:
      algae === undefined
        ? undefined
        : { mmolPerH: algae, on: form.refugium.on, off: form.refugium.off },
  };
}
