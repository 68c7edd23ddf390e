/** Walking pace, m/s (common practice). */
export const WALKING_MPS = 1.4;
