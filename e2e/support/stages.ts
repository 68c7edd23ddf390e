/**
 * What each stage shows first that comes from the walks, and how many tasks of over 50 ms its page may have
 * while it comes: some five times what an unhurried machine counts. When the page itself worked everything out,
 * there was one of a minute.
 */
export const STAGES: readonly (readonly [stage: string, sign: string, longTasks: number])[] = [
  ['kit', 'Add a product', 20],
  ['paths', 'Add a path', 36],
  ['plan', 'Home after', 24],
  ['trace', 'Trace: ', 24],
  ['ranges', 'Separation, one scale for all', 36],
  ['verdict', 'Next step', 24],
  ['report', 'In short', 36],
  ['walk', 'Begin the walk', 20],
];
