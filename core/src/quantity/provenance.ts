/** How a figure came to be known; on every one that somebody enters. */
export const PROVENANCES = ['measured', 'derived', 'estimated by eye', 'quoted', 'from memory'] as const;
export type Provenance = (typeof PROVENANCES)[number];
