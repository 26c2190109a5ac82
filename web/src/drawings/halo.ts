/** Paper around what is written over lines, so that it stays legible. */
export const HALO = { paintOrder: 'stroke', stroke: 'var(--paper)', strokeWidth: 5 } as const;
