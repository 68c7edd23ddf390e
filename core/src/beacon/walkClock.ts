/**
 * How a recording of what was received stands to the walk's clock: what was sent at 0 on that clock is at `laterS` in
 * the recording, and the recording's clock runs faster by so many millionths. The link's latency is in it: a moment of
 * the recording is when its sound was sent.
 */
export interface ReceivedClock {
  readonly laterS: number;
  readonly driftPpm: number;
}

/** When, on the walk's clock, that was sent which the recording has at a moment, s. */
export const sentAtS = ({ laterS, driftPpm }: ReceivedClock, recordingS: number): number =>
  (recordingS - laterS) / (1 + driftPpm * 1e-6);

/** When the recording has what was sent at a moment of the walk, s. */
export const recordedAtS = ({ laterS, driftPpm }: ReceivedClock, walkS: number): number =>
  laterS + walkS * (1 + driftPpm * 1e-6);
