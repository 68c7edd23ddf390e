import type { EventTime } from '@urvek/core';

/** An edge that was found is known to half of this either way, s: 5 ms, as the detectors are held to. */
export const FOUND_S = 0.01;

/** One that a person moved is known to a frame of 25 a second, s. */
const MOVED_S = 0.04;

/** To what a moment is known that an instrument found, or that a person moved from there, s. */
export const knownTo = ({ byHand }: { readonly byHand?: true | undefined }): number =>
  byHand ? MOVED_S : FOUND_S;

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
