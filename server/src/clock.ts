/** The wall clock, passed in so that tests and the demo have their own. */
export interface Clock {
  now(): Date;
}

export const systemClock: Clock = { now: () => new Date() };
