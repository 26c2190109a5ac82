import type { Bench, Units, Variant } from '../../../api/types';
import { show } from '../../../lib/measure';

/** A number or a choice that a remedy opens. */
export type Knob =
  | {
      kind: 'slide';
      label: string;
      value: number;
      min: number;
      max: number;
      step: number;
      shown: string;
      set: (value: number) => Partial<Variant>;
    }
  | {
      kind: 'choose';
      label: string;
      value: string;
      options: readonly { value: string; label: string }[];
      set: (value: string) => Partial<Variant>;
    };

/** One thing that can be put on the tank. */
export interface RemedyKind {
  name: string;
  /** Whether this tank has what it needs. */
  here: (bench: Bench) => boolean;
  on: (put: Variant) => boolean;
  place: (bench: Bench) => Partial<Variant>;
  take: Partial<Variant>;
  knobs: (put: Variant, bench: Bench, units: Units) => Knob[];
  /** The set in a few words, once it is on. */
  words: (put: Variant, units: Units) => string;
}

const percent = (share: number) => `${Math.round(share * 100)} %`;
const always = () => true;
const skimmer = (bench: Bench) => bench.skimmerAirDrawLPerH !== undefined;
const hour = (h: number) => `${h}:00`;

function slide(
  label: string,
  value: number,
  [min, max, step]: [number, number, number],
  shown: string,
  set: (value: number) => Partial<Variant>,
): Knob {
  return { kind: 'slide', label, value, min, max, step, shown, set };
}

function choose(
  label: string,
  value: string,
  options: readonly { value: string; label: string }[],
  set: (value: string) => Partial<Variant>,
): Knob {
  return { kind: 'choose', label, value, options, set };
}

const BORES = [4, 6, 8, 9.5, 12.7, 16, 19];

const DOORS = [
  { value: 'AJAR', label: 'ajar' },
  { value: 'OPEN', label: 'open' },
  { value: 'FAN', label: 'a fan in it' },
] as const;
type Door = NonNullable<Variant['cabinet']>;

const HOURS = [
  { value: 'ALWAYS', label: 'always' },
  { value: 'LAMPS_OFF', label: 'while the lamps are off' },
  { value: 'LAMPS_ON', label: 'while the lamps are on' },
  { value: 'BELOW_PH', label: 'below a pH' },
] as const;
type Media = NonNullable<Variant['media']>;

const HYDROXIDES = [
  { value: 'SODA_ASH', label: 'soda ash' },
  { value: 'BICARBONATE', label: 'bicarbonate' },
  { value: 'SODIUM_HYDROXIDE', label: 'sodium hydroxide' },
  { value: 'POTASSIUM_HYDROXIDE', label: 'potassium hydroxide' },
] as const;

function mediaKnobs(media: Media, units: Units): Knob[] {
  const put = (change: Partial<Media>) => ({ media: { ...media, ...change } });
  return [
    slide('fill', media.massKg, [0.1, 3, 0.1], show(media.massKg, 'mass', units), (massKg) =>
      put({ massKg }),
    ),
    slide(
      'of the skimmer’s air is its own exhaust, led back',
      1 - media.freshShare,
      [0, 1, 0.01],
      percent(1 - media.freshShare),
      (back) => put({ freshShare: Math.round((1 - back) * 100) / 100 }),
    ),
    choose(
      'once they are soaked, the air',
      media.chokes ? 'choked' : 'passes',
      [
        { value: 'passes', label: 'still passes them' },
        { value: 'choked', label: 'is choked' },
      ],
      (way) => put({ chokes: way === 'choked' }),
    ),
    choose('in use', media.hours, HOURS, (hours) => put({ hours: hours as Media['hours'] })),
    ...(media.hours === 'BELOW_PH'
      ? [
          slide(
            'below',
            media.gatePh ?? 8.2,
            [7.6, 8.4, 0.05],
            (media.gatePh ?? 8.2).toFixed(2),
            (gatePh) => put({ gatePh }),
          ),
        ]
      : []),
    ...(media.hours === 'ALWAYS'
      ? []
      : [
          choose(
            'otherwise',
            media.driesBetween ? 'dry' : 'around',
            [
              { value: 'around', label: 'the air goes around them' },
              { value: 'dry', label: 'dry fresh air passes them' },
            ],
            (way) => put({ driesBetween: way === 'dry' }),
          ),
        ]),
  ];
}

function lineKnobs(line: NonNullable<Variant['line']>, units: Units): Knob[] {
  const put = (change: Partial<typeof line>) => ({ line: { ...line, ...change } });
  const flue = line.flue;
  return [
    slide('length', line.lengthM, [0.5, 20, 0.5], show(line.lengthM, 'length', units), (lengthM) =>
      put({ lengthM }),
    ),
    choose(
      'inner diameter',
      String(line.boreMm),
      BORES.map((b) => ({ value: String(b), label: show(b, 'bore', units) })),
      (b) => put({ boreMm: Number(b) }),
    ),
    slide(
      'another inlet left open',
      line.leakMm ?? 0,
      [0, 12, 1],
      line.leakMm ? show(line.leakMm, 'bore', units) : 'all plugged',
      (leakMm) => put({ leakMm: leakMm === 0 ? undefined : leakMm }),
    ),
    choose(
      'its mouth',
      flue ? 'flue' : 'clean',
      [
        { value: 'clean', label: 'in clean outdoor air' },
        { value: 'flue', label: 'near a flue, for some hours' },
      ],
      (where) => put({ flue: where === 'flue' ? { fromHour: 3, toHour: 7, ppm: 780 } : undefined }),
    ),
    ...(flue
      ? [
          slide('the flue works from', flue.fromHour, [0, 23, 1], hour(flue.fromHour), (fromHour) =>
            put({ flue: { ...flue, fromHour } }),
          ),
          slide('until', flue.toHour, [0, 24, 1], hour(flue.toHour), (toHour) =>
            put({ flue: { ...flue, toHour } }),
          ),
          slide('with', flue.ppm, [420, 3000, 20], `${flue.ppm} ppm`, (ppm) =>
            put({ flue: { ...flue, ppm } }),
          ),
        ]
      : []),
  ];
}

function stoneKnobs(stone: NonNullable<Variant['stone']>, units: Units): Knob[] {
  const put = (change: Partial<typeof stone>) => ({ stone: { ...stone, ...change } });
  return [
    slide('air', stone.airLPerH, [10, 1500, 10], `${stone.airLPerH} L/h`, (airLPerH) =>
      put({ airLPerH }),
    ),
    slide('bubbles', stone.diameterMm, [0.5, 8, 0.5], `${stone.diameterMm} mm`, (diameterMm) =>
      put({ diameterMm }),
    ),
    slide('depth', stone.depthM, [0.1, 2, 0.05], show(stone.depthM, 'length', units), (depthM) =>
      put({ depthM }),
    ),
  ];
}

const warmer = (put: Variant, units: Units) =>
  `${(put.warmerByK ?? 0) > 0 ? '+' : ''}${show(put.warmerByK ?? 0, 'warmth', units)}`;

/** From cheap to dear, then what may go wrong. */
export const REMEDIES: readonly RemedyKind[] = [
  {
    name: 'Open a window',
    here: always,
    on: (put) => put.ventilationTimes !== undefined,
    place: () => ({ ventilationTimes: 3 }),
    take: { ventilationTimes: undefined },
    knobs: (put) => [
      slide(
        'ventilation, over today’s',
        put.ventilationTimes ?? 1,
        [1, 10, 0.5],
        `× ${put.ventilationTimes ?? 1}`,
        (ventilationTimes) => ({ ventilationTimes }),
      ),
    ],
    words: (put) => `ventilation × ${put.ventilationTimes ?? 1}`,
  },
  {
    name: 'Livelier surface',
    here: always,
    on: (put) => put.surfaceTimes !== undefined,
    place: () => ({ surfaceTimes: 1.5 }),
    take: { surfaceTimes: undefined },
    knobs: (put) => [
      slide(
        'exchange through the surfaces: outlets tilted up, lids off',
        put.surfaceTimes ?? 1,
        [0.2, 4, 0.1],
        `× ${put.surfaceTimes ?? 1}`,
        (surfaceTimes) => ({ surfaceTimes }),
      ),
    ],
    words: (put) => `surface × ${put.surfaceTimes ?? 1}`,
  },
  {
    name: 'Cabinet door, or a fan in it',
    here: (bench) => bench.cabinet,
    on: (put) => put.cabinet !== undefined,
    place: () => ({ cabinet: 'OPEN' }),
    take: { cabinet: undefined },
    knobs: (put) => [
      choose('the door', put.cabinet ?? 'OPEN', DOORS, (cabinet) => ({ cabinet: cabinet as Door })),
    ],
    words: (put) => `cabinet ${(put.cabinet ?? '').toLowerCase()}`,
  },
  {
    name: 'Canopy lifted, or a fan under it',
    here: (bench) => bench.canopy,
    on: (put) => put.canopy !== undefined,
    place: () => ({ canopy: 'OPEN' }),
    take: { canopy: undefined },
    knobs: (put) => [
      choose('the canopy', put.canopy ?? 'OPEN', DOORS, (canopy) => ({ canopy: canopy as Door })),
    ],
    words: (put) => `canopy ${(put.canopy ?? '').toLowerCase()}`,
  },
  {
    name: 'Air stone in room air',
    here: always,
    on: (put) => put.stone !== undefined,
    place: () => ({ stone: { airLPerH: 100, diameterMm: 2, depthM: 0.4 } }),
    take: { stone: undefined },
    knobs: (put, _, units) => (put.stone ? stoneKnobs(put.stone, units) : []),
    words: (put) => `stone ${put.stone?.airLPerH ?? 0} L/h`,
  },
  {
    name: 'Outdoor line to the skimmer',
    here: skimmer,
    on: (put) => put.line !== undefined,
    place: () => ({ line: { lengthM: 6, boreMm: 12.7 } }),
    take: { line: undefined },
    knobs: (put, _, units) => (put.line ? lineKnobs(put.line, units) : []),
    words: (put, units) =>
      `${show(put.line?.lengthM ?? 0, 'length', units)} of ${show(put.line?.boreMm ?? 0, 'bore', units)} hose${put.line?.flue ? ' by a flue' : ''}${put.line?.leakMm ? ' with a leak' : ''}`,
  },
  {
    name: 'Scrubber media before the skimmer',
    here: skimmer,
    on: (put) => put.media !== undefined,
    place: () => ({ media: { massKg: 1, freshShare: 1, hours: 'ALWAYS', driesBetween: false } }),
    take: { media: undefined },
    knobs: (put, _, units) => (put.media ? mediaKnobs(put.media, units) : []),
    words: (put, units) =>
      `${show(put.media?.massKg ?? 0, 'mass', units)} of media${(put.media?.freshShare ?? 1) < 1 ? `, ${percent(1 - (put.media?.freshShare ?? 1))} recirculated` : ''}${put.media?.hours === 'BELOW_PH' ? ` below pH ${(put.media.gatePh ?? 8.2).toFixed(2)}` : put.media?.hours === 'LAMPS_OFF' ? ' by night' : ''}`,
  },
  {
    name: 'Limewater in place of today’s alkalinity source',
    here: always,
    on: (put) => put.limewaterMlPerDay !== undefined,
    place: () => ({
      limewaterMlPerDay: 500,
      limewaterStrength: 1,
      source: undefined,
      sourceDkhPerDay: undefined,
    }),
    take: { limewaterMlPerDay: undefined, limewaterStrength: undefined },
    knobs: (put, bench) => [
      slide(
        `a day (your tank evaporates about ${Math.round(bench.evaporationLPerDay * 1000)} mL)`,
        put.limewaterMlPerDay ?? 0,
        [0, 6000, 20],
        `${put.limewaterMlPerDay ?? 0} mL`,
        (limewaterMlPerDay) => ({ limewaterMlPerDay }),
      ),
      slide(
        'of saturation',
        put.limewaterStrength ?? 1,
        [0.1, 1, 0.1],
        percent(put.limewaterStrength ?? 1),
        (limewaterStrength) => ({ limewaterStrength }),
      ),
    ],
    words: (put) =>
      `limewater ${put.limewaterMlPerDay ?? 0} mL/day${(put.limewaterStrength ?? 1) < 1 ? ` at ${percent(put.limewaterStrength ?? 1)}` : ''}`,
  },
  {
    name: 'Another alkalinity source',
    here: always,
    on: (put) => put.source !== undefined,
    place: (bench) => ({
      source: 'SODIUM_HYDROXIDE',
      sourceDkhPerDay: bench.alkalinityUseDkhPerDay > 0 ? undefined : 0.5,
      limewaterMlPerDay: undefined,
      limewaterStrength: undefined,
    }),
    take: { source: undefined, sourceDkhPerDay: undefined },
    knobs: (put, bench) => [
      choose('dosed as', put.source ?? 'SODIUM_HYDROXIDE', HYDROXIDES, (source) => ({
        source: source as Variant['source'],
      })),
      slide(
        bench.alkalinityUseDkhPerDay > 0
          ? `of ${bench.alkalinityUseDkhPerDay.toFixed(1)} dKH a day that the animals use`
          : 'a day',
        put.sourceDkhPerDay ?? bench.alkalinityUseDkhPerDay,
        [0, Math.max(2, Math.ceil(bench.alkalinityUseDkhPerDay)), 0.1],
        `${(put.sourceDkhPerDay ?? bench.alkalinityUseDkhPerDay).toFixed(1)} dKH`,
        (sourceDkhPerDay) => ({ sourceDkhPerDay }),
      ),
    ],
    words: (put) => (put.source ?? '').toLowerCase().replace('_', ' '),
  },
  {
    name: 'Alkalinity higher or lower',
    here: always,
    on: (put) => put.alkalinityChangeDkh !== undefined,
    place: () => ({ alkalinityChangeDkh: 1 }),
    take: { alkalinityChangeDkh: undefined },
    knobs: (put) => [
      slide(
        'brought there with soda ash, and kept',
        put.alkalinityChangeDkh ?? 0,
        [-3, 3, 0.25],
        `${(put.alkalinityChangeDkh ?? 0) > 0 ? '+' : ''}${put.alkalinityChangeDkh ?? 0} dKH`,
        (alkalinityChangeDkh) => ({ alkalinityChangeDkh }),
      ),
    ],
    words: (put) =>
      `alkalinity ${(put.alkalinityChangeDkh ?? 0) > 0 ? '+' : ''}${put.alkalinityChangeDkh ?? 0} dKH`,
  },
  {
    name: 'Refugium under its own lamp',
    here: always,
    on: (put) => put.refugium !== undefined,
    place: () => ({ refugium: { mmolPerH: 3, on: '21:00', off: '09:00' } }),
    take: { refugium: undefined },
    knobs: (put) => {
      const refugium = put.refugium;
      return refugium
        ? [
            slide(
              'its algae take up, while lit',
              refugium.mmolPerH,
              [0.5, 20, 0.5],
              `${refugium.mmolPerH} mmol/h`,
              (mmolPerH) => ({ refugium: { ...refugium, mmolPerH } }),
            ),
            choose(
              'lit',
              refugium.on,
              [
                { value: '21:00', label: 'by night, 21:00 to 9:00' },
                { value: '09:00', label: 'by day, 9:00 to 21:00' },
                { value: '00:00', label: 'nearly always' },
              ],
              (on) => ({
                refugium: {
                  ...refugium,
                  on,
                  off: on === '21:00' ? '09:00' : on === '09:00' ? '21:00' : '23:45',
                },
              }),
            ),
          ]
        : [];
    },
    words: (put) => `refugium ${put.refugium?.mmolPerH ?? 0} mmol/h`,
  },
  {
    name: 'Second chamber and drip cup on the reactor',
    here: (bench) => bench.reactor,
    on: (put) => put.reactor !== undefined,
    place: () => ({ reactor: { secondChamberShare: 0.5, dripShare: 0.3 } }),
    take: { reactor: undefined },
    knobs: (put) => {
      const care = put.reactor;
      return care
        ? [
            slide(
              'of the spare CO2 that the chamber binds (assumed)',
              care.secondChamberShare,
              [0, 1, 0.1],
              percent(care.secondChamberShare),
              (secondChamberShare) => ({ reactor: { ...care, secondChamberShare } }),
            ),
            slide(
              'of the rest that the cup drives off (assumed)',
              care.dripShare,
              [0, 1, 0.1],
              percent(care.dripShare),
              (dripShare) => ({ reactor: { ...care, dripShare } }),
            ),
          ]
        : [];
    },
    words: () => 'reactor cared for',
  },
  {
    name: 'Ventilator with heat recovery',
    here: (bench) => bench.roomM3 !== undefined,
    on: (put) => put.ventilatorM3PerH !== undefined,
    place: () => ({ ventilatorM3PerH: 60 }),
    take: { ventilatorM3PerH: undefined },
    knobs: (put) => [
      slide(
        'outdoor air',
        put.ventilatorM3PerH ?? 0,
        [10, 400, 10],
        `${put.ventilatorM3PerH ?? 0} m³/h`,
        (ventilatorM3PerH) => ({ ventilatorM3PerH }),
      ),
    ],
    words: (put) => `ventilator ${put.ventilatorM3PerH ?? 0} m³/h`,
  },
  {
    name: 'Nobody home',
    here: always,
    on: (put) => put.nobodyHome === true,
    place: () => ({ nobodyHome: true }),
    take: { nobodyHome: undefined },
    knobs: () => [],
    words: () => 'nobody home',
  },
  {
    name: 'Guests',
    here: (bench) => bench.roomM3 !== undefined,
    on: (put) => put.guests !== undefined,
    place: () => ({ guests: 4 }),
    take: { guests: undefined },
    knobs: (put) => [
      slide(
        'adults more than today',
        put.guests ?? 0,
        [1, 20, 1],
        String(put.guests ?? 0),
        (guests) => ({
          guests,
        }),
      ),
    ],
    words: (put) => `${put.guests ?? 0} guests`,
  },
  {
    name: 'Skimmer’s air draw',
    here: skimmer,
    on: (put) => put.skimmerShare !== undefined,
    place: () => ({ skimmerShare: 1.5 }),
    take: { skimmerShare: undefined },
    knobs: (put) => [
      slide(
        'over today: below 1 for a clogged venturi, 0 for a stopped pump',
        put.skimmerShare ?? 1,
        [0, 2.5, 0.1],
        `× ${put.skimmerShare ?? 1}`,
        (skimmerShare) => ({ skimmerShare }),
      ),
    ],
    words: (put) => `skimmer draw × ${put.skimmerShare ?? 1}`,
  },
  {
    name: 'Warmer or cooler water',
    here: always,
    on: (put) => put.warmerByK !== undefined,
    place: () => ({ warmerByK: 3 }),
    take: { warmerByK: undefined },
    knobs: (put, _, units) => [
      slide('against today', put.warmerByK ?? 0, [-4, 6, 0.5], warmer(put, units), (warmerByK) => ({
        warmerByK,
      })),
    ],
    words: warmer,
  },
];
