/** The places, in the order of the keeper's loop, with the screens that are built. */
export const PLACES = [
  {
    name: 'Read',
    question: 'what did the water do?',
    screens: [
      { name: 'Today', path: 'today' },
      { name: 'History', path: 'history' },
      { name: 'Enter', path: 'enter' },
    ],
  },
  {
    name: 'Reason',
    question: 'why?',
    screens: [
      { name: 'Staircase', path: 'staircase' },
      { name: 'Ledger', path: 'ledger' },
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
    screens: [{ name: 'Media', path: 'media' }],
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
] as const;

export type ScreenPath = (typeof PLACES)[number]['screens'][number]['path'];

export const ROUTE = {
  today: '/tank/$tankId/today',
  history: '/tank/$tankId/history',
  enter: '/tank/$tankId/enter',
  staircase: '/tank/$tankId/staircase',
  ledger: '/tank/$tankId/ledger',
  bench: '/tank/$tankId/bench',
  sums: '/tank/$tankId/sums',
  media: '/tank/$tankId/media',
  readiness: '/tank/$tankId/readiness',
  outage: '/tank/$tankId/outage',
  haul: '/tank/$tankId/haul',
  margin: '/tank/$tankId/margin',
  notes: '/tank/$tankId/notes',
} as const satisfies Record<ScreenPath, string>;
