export const DIRECTIONS = ['mobile-to-fixed', 'fixed-to-mobile'] as const;
export type Direction = (typeof DIRECTIONS)[number];
