export const ms = (s: number): string => `${(1000 * s).toFixed(0)} ms`;
