import type { EventTime } from '@urvek/core';

/** An edge that was found is known to half of this either way, s: 5 ms, as the detectors are held to. */
export const FOUND_S = 0.01;

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
