import { z } from '../../../lib/zod';
import type { PutMeasure } from '../../../api/types';

/** A set as the first links held it: one object with a field for each setting. What is no number is left out. */
const number = z.number().optional().catch(undefined);
const text = z.string().optional().catch(undefined);
const yes = z.boolean().optional().catch(undefined);
const FIRST = z.object({
  ventilationTimes: number,
  ventilatorM3PerH: number,
  nobodyHome: yes,
  guests: number,
  skimmerShare: number,
  surfaceTimes: number,
  alkalinityChangeDkh: number,
  warmerByK: number,
  cabinet: text,
  canopy: text,
  limewaterMlPerDay: number,
  limewaterStrength: number,
  source: text,
  sourceDkhPerDay: number,
  line: z
    .object({
      lengthM: number,
      boreMm: number,
      leakMm: number,
      flue: z.object({ fromHour: number, toHour: number, ppm: number }).optional().catch(undefined),
    })
    .optional()
    .catch(undefined),
  media: z
    .object({
      massKg: number,
      freshShare: number,
      hours: text,
      gatePh: number,
      driesBetween: yes,
      chokes: yes,
    })
    .optional()
    .catch(undefined),
  stone: z
    .object({ airLPerH: number, diameterMm: number, depthM: number })
    .optional()
    .catch(undefined),
  refugium: z.object({ mmolPerH: number, on: text }).optional().catch(undefined),
  reactor: z.object({ secondChamberShare: number, dripShare: number }).optional().catch(undefined),
});

type Numbers = Record<string, number | undefined>;
type Choices = Record<string, string | undefined>;

const only = <T>(all: Record<string, T | undefined>): Record<string, T> =>
  Object.fromEntries(
    Object.entries(all).filter((entry): entry is [string, T] => entry[1] !== undefined),
  );

const put = (kind: string, numbers: Numbers = {}, choices: Choices = {}): PutMeasure => ({
  kind,
  numbers: only(numbers),
  choices: only(choices),
});

/** The same set as measures of the registry, so that a link of last year still opens. */
export function measuresOfFirstLinks(link: Record<string, unknown>): PutMeasure[] {
  const old = FIRST.parse(link);
  const plain = (kind: string, name: string, value: number | undefined) =>
    value === undefined ? [] : [put(kind, { [name]: value })];
  const { line, media, stone, refugium, reactor } = old;
  const flue = line?.flue;
  const lit = refugium?.on === '09:00' ? 'DAY' : refugium?.on === '00:00' ? 'ALWAYS' : 'NIGHT';
  return [
    ...plain('window', 'times', old.ventilationTimes),
    ...plain('ventilator', 'm3PerH', old.ventilatorM3PerH),
    ...plain('guests', 'adults', old.guests),
    ...plain('skimmer-draw', 'times', old.skimmerShare),
    ...plain('surface', 'times', old.surfaceTimes),
    ...plain('alkalinity', 'dkh', old.alkalinityChangeDkh),
    ...plain('warmth', 'byK', old.warmerByK),
    ...(old.nobodyHome ? [put('nobody')] : []),
    ...(old.cabinet ? [put('cabinet', {}, { door: old.cabinet })] : []),
    ...(old.canopy ? [put('canopy', {}, { door: old.canopy })] : []),
    ...(line
      ? [
          put(
            'outdoor-line',
            {
              lengthM: line.lengthM,
              boreMm: line.boreMm,
              leakMm: line.leakMm,
              flueFrom: flue?.fromHour,
              flueTo: flue?.toHour,
              fluePpm: flue?.ppm,
            },
            { mouth: flue ? 'FLUE' : 'CLEAN' },
          ),
        ]
      : []),
    ...(media
      ? [
          put(
            'scrubber',
            {
              massKg: media.massKg,
              recirculated: 1 - (media.freshShare ?? 1),
              gatePh: media.gatePh,
            },
            {
              hours: media.hours,
              soaked: media.chokes ? 'CHOKED' : 'PASSES',
              otherwise: media.driesBetween ? 'DRY' : 'AROUND',
            },
          ),
        ]
      : []),
    ...(stone ? [put('stone', stone)] : []),
    ...(old.limewaterMlPerDay === undefined
      ? old.source
        ? [put('source', { dkhPerDay: old.sourceDkhPerDay }, { source: old.source })]
        : []
      : [put('limewater', { mlPerDay: old.limewaterMlPerDay, strength: old.limewaterStrength })]),
    ...(refugium ? [put('refugium', { mmolPerH: refugium.mmolPerH }, { lit })] : []),
    ...(reactor
      ? [put('reactor', { secondChamber: reactor.secondChamberShare, drip: reactor.dripShare })]
      : []),
  ];
}
