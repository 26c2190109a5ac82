const KEY = 'last-tank';

/** Which tank this browser looked at last, so that the door opens there. */
export const lastTank = {
  get: () => localStorage.getItem(KEY),
  set: (id: string) => localStorage.setItem(KEY, id),
};
