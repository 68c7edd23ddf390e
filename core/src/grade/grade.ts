/** Five-grade quality scale, 5 best (compare ITU-R BS.1284 and BT.500, from memory). */
export const GRADES = [5, 4, 3, 2, 1] as const;
export type Grade = (typeof GRADES)[number];

export type LinkState = 'clear' | 'degraded' | 'lost';

export const stateOf = (grade: Grade): LinkState => (grade >= 4 ? 'clear' : grade >= 2 ? 'degraded' : 'lost');
