import type { EventTime } from '@urvek/core';

/** The device's clocks, in one place. */
export const eventTime = (
  walkS: number,
  rate: number,
  inputMs = performance.now(),
  frameS?: number,
): EventTime => ({
  walkS,
  ...(frameS === undefined ? {} : { frameS }),
  rate,
  inputMs,
  originMs: performance.timeOrigin,
  wallMs: Date.now(),
});

export const nowMs = (): number => Date.now();
