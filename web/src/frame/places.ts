export const ROUTE = {
  today: '/tank/$tankId/today',
  history: '/tank/$tankId/history',
  enter: '/tank/$tankId/enter',
  probe: '/tank/$tankId/probe',
  staircase: '/tank/$tankId/staircase',
  suspects: '/tank/$tankId/suspects',
  effects: '/tank/$tankId/effects',
  ledger: '/tank/$tankId/ledger',
  twin: '/tank/$tankId/twin',
  experiment: '/tank/$tankId/experiment',
  bench: '/tank/$tankId/bench',
  sums: '/tank/$tankId/sums',
  programme: '/tank/$tankId/programme',
  media: '/tank/$tankId/media',
  doses: '/tank/$tankId/doses',
  upkeep: '/tank/$tankId/upkeep',
  stock: '/tank/$tankId/stock',
  readiness: '/tank/$tankId/readiness',
  outage: '/tank/$tankId/outage',
  haul: '/tank/$tankId/haul',
  margin: '/tank/$tankId/margin',
  notes: '/tank/$tankId/notes',
} as const;

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
    question: 'what did the water do?',
    screens: [
      { name: 'Today', path: 'today' },
      { name: 'History', path: 'history' },
      { name: 'Enter', path: 'enter' },
      { name: 'Probe', path: 'probe' },
    ],
  },
  {
    name: 'Reason',
    question: 'why? did it help?',
    screens: [
      { name: 'Staircase', path: 'staircase' },
      { name: 'Suspects', path: 'suspects' },
      { name: 'Effects', path: 'effects' },
      { name: 'Ledger', path: 'ledger' },
      { name: 'Twin', path: 'twin' },
      { name: 'Experiment', path: 'experiment' },
    ],
  },
  {
    name: 'Try',
    question: 'what would help here?',
    screens: [
      { name: 'Bench', path: 'bench' },
      { name: 'Sums', path: 'sums' },
    ],
  },
  {
    name: 'Do',
    question: 'what runs, what is due?',
    screens: [
      { name: 'Programme', path: 'programme' },
      { name: 'Doses', path: 'doses' },
      { name: 'Upkeep', path: 'upkeep' },
      { name: 'Stock', path: 'stock' },
      { name: 'Media', path: 'media' },
    ],
  },
  {
    name: 'Guard',
    question: 'will they have oxygen?',
    screens: [
      { name: 'Readiness', path: 'readiness' },
      { name: 'Outage', path: 'outage' },
      { name: 'Margin', path: 'margin' },
      { name: 'Haul', path: 'haul' },
    ],
  },
  { name: 'Learn', question: 'practise', screens: [{ name: 'Notes', path: 'notes' }] },
];

/** Who helps sees the tank, the outage and what is due. */
const HELPERS: readonly ScreenPath[] = [
  'today',
  'history',
  'enter',
  'staircase',
  'ledger',
  'upkeep',
  'readiness',
  'outage',
  'margin',
];

const HELPERS_PLACES = PLACES.flatMap((place): Place[] => {
  const [first, ...rest] = place.screens.filter((screen) => HELPERS.includes(screen.path));
  return first ? [{ ...place, screens: [first, ...rest] }] : [];
});

export const placesOf = (helper: boolean): readonly Place[] => (helper ? HELPERS_PLACES : PLACES);
