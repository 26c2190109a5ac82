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
  { name: 'Reason', question: 'why?', screens: [{ name: 'Staircase', path: 'staircase' }] },
  {
    name: 'Try',
    question: 'what would help here?',
    screens: [
      { name: 'Bench', path: 'bench' },
      { name: 'Sums', path: 'sums' },
    ],
  },
] as const;

export type ScreenPath = (typeof PLACES)[number]['screens'][number]['path'];

export const ROUTE = {
  today: '/tank/$tankId/today',
  history: '/tank/$tankId/history',
  enter: '/tank/$tankId/enter',
  staircase: '/tank/$tankId/staircase',
  bench: '/tank/$tankId/bench',
  sums: '/tank/$tankId/sums',
} as const satisfies Record<ScreenPath, string>;
