export const ROUTE = {
  today: '/tank/$tankId/today',
  history: '/tank/$tankId/history',
  addToLog: '/tank/$tankId/add-to-log',
  probe: '/tank/$tankId/probe',
  staircase: '/tank/$tankId/staircase',
  suspects: '/tank/$tankId/suspects',
  effects: '/tank/$tankId/effects',
  gasBalance: '/tank/$tankId/gas-balance',
  twin: '/tank/$tankId/twin',
  experiment: '/tank/$tankId/experiment',
  bench: '/tank/$tankId/bench',
  calculators: '/tank/$tankId/calculators',
  schedule: '/tank/$tankId/schedule',
  media: '/tank/$tankId/media',
  dosing: '/tank/$tankId/dosing',
  upkeep: '/tank/$tankId/upkeep',
  supplies: '/tank/$tankId/supplies',
  readiness: '/tank/$tankId/readiness',
  outage: '/tank/$tankId/outage',
  transport: '/tank/$tankId/transport',
  oxygenMargin: '/tank/$tankId/oxygen-margin',
  handbook: '/tank/$tankId/handbook',
} as const;

const TANK = '/tank/$tankId';

export type ScreenPath = keyof typeof ROUTE;

interface Screen {
  name: string;
  path: ScreenPath;
}

export interface Place {
  name: string;
  question: string;
  screens: readonly [Screen, ...Screen[]];
}

/** The places, in the order of the keeper's loop, with the screens that are built. */
const PLACES: readonly Place[] = [
  {
    name: 'Read',
    question: 'What did the water do?',
    screens: [
      { name: 'Today', path: 'today' },
      { name: 'History', path: 'history' },
      { name: 'Add to log', path: 'addToLog' },
      { name: 'Probe', path: 'probe' },
    ],
  },
  {
    name: 'Reason',
    question: 'Why? Did it help?',
    screens: [
      { name: 'Staircase', path: 'staircase' },
      { name: 'Suspects', path: 'suspects' },
      { name: 'Effects', path: 'effects' },
      { name: 'Gas balance', path: 'gasBalance' },
      { name: 'Twin', path: 'twin' },
      { name: 'Experiment', path: 'experiment' },
    ],
  },
  {
    name: 'Try',
    question: 'What would help here?',
    screens: [
      { name: 'Bench', path: 'bench' },
      { name: 'Calculators', path: 'calculators' },
    ],
  },
  {
    name: 'Do',
    question: 'What is running, what is due?',
    screens: [
      { name: 'Schedule', path: 'schedule' },
      { name: 'Dosing', path: 'dosing' },
      { name: 'Upkeep', path: 'upkeep' },
      { name: 'Supplies', path: 'supplies' },
      { name: 'Media', path: 'media' },
    ],
  },
  {
    name: 'Guard',
    question: 'Will they have oxygen?',
    screens: [
      { name: 'Readiness', path: 'readiness' },
      { name: 'Outage', path: 'outage' },
      { name: 'Oxygen margin', path: 'oxygenMargin' },
      { name: 'Transport', path: 'transport' },
    ],
  },
  { name: 'Learn', question: 'practise', screens: [{ name: 'Handbook', path: 'handbook' }] },
];

/** Screens' names in addresses from before December 2026: bookmarks and shared links keep leading where they led. */
export const FORMER_ROUTE: Partial<Record<string, (typeof ROUTE)[ScreenPath]>> = {
  enter: ROUTE.addToLog,
  ledger: ROUTE.gasBalance,
  sums: ROUTE.calculators,
  programme: ROUTE.schedule,
  doses: ROUTE.dosing,
  stock: ROUTE.supplies,
  margin: ROUTE.oxygenMargin,
  haul: ROUTE.transport,
  notes: ROUTE.handbook,
};

/** Who helps sees the tank, the outage and what is due. */
const HELPERS: readonly ScreenPath[] = [
  'today',
  'history',
  'addToLog',
  'staircase',
  'gasBalance',
  'upkeep',
  'readiness',
  'outage',
  'oxygenMargin',
];

const HELPERS_PLACES = PLACES.flatMap((place): Place[] => {
  const [first, ...rest] = place.screens.filter((screen) => HELPERS.includes(screen.path));
  return first ? [{ ...place, screens: [first, ...rest] }] : [];
});

/** Which place and which of its screens an address shows. */
export function placeAt(
  address: string,
  places: readonly Place[],
): { place?: Place; screen?: Screen } {
  for (const place of places) {
    const screen = place.screens.find((s) => address.endsWith(ROUTE[s.path].slice(TANK.length)));
    if (screen) return { place, screen };
  }
  return {};
}

export const placesOf = (helper: boolean): readonly Place[] => (helper ? HELPERS_PLACES : PLACES);
