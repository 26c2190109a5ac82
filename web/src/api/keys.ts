/**
 * Under which keys answers are kept. A key begins with whose answer it is, so that what a change touches is read anew by
 * the beginning alone: a tank with all that hangs on it, only what is computed of its log, or what its home makes of it.
 */
export const keys = {
  session: ['session'],
  homes: ['homes'],
  tanks: ['tanks'],
  /** Of all tanks; read anew with whatever a home makes of a log. */
  house: ['home', 'house'],
  tokens: ['tokens'],
  removed: ['removed'],
  everyTank: ['tank'],
  everyHome: ['home'],
  tank: (id: string) => ({
    all: ['tank', id],
    description: ['tank', id, 'description'],
    sets: ['tank', id, 'sets'],
    /** Read or computed of its readings, events and fills: by what it is and what it was asked for. */
    log: (...what: unknown[]) => ['tank', id, 'log', ...what],
    import: (importId: number, ...what: unknown[]) => ['tank', id, 'import', importId, ...what],
  }),
  home: (id: string) => ({
    guard: (...what: unknown[]) => ['home', id, 'guard', ...what],
    due: ['home', id, 'due'],
    supplies: ['home', id, 'supplies'],
    calendar: ['home', id, 'calendar'],
    helpers: ['home', id, 'helpers'],
  }),
  sum: (name: string, body: unknown) => ['sum', name, body],
};

/** What a new reading, event or fill of a tank touches: what is made of its log, here and in its home. */
export const logged = (tankId: string) => [keys.tank(tankId).log(), keys.everyHome];
