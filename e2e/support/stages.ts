/**
 * What each stage shows first that comes from the walks, and how many tasks of over 50 ms its page may have
 * while it comes: four to six times what an unhurried machine counts. When the page itself worked everything out,
 * there was one of a minute.
 */
export const STAGES: readonly (readonly [stage: string, sign: string, longTasks: number])[] = [
  ['kit', 'Add a product', 20],
  ['paths', 'Add a path', 40],
  ['plan', 'Home after', 16],
  ['trace', 'Trace: ', 12],
  ['ranges', 'Separation, one scale for all', 30],
  ['verdict', 'Next step', 12],
  ['report', 'In short', 12],
  ['walk', 'Begin the walk', 12],
];
