import { freeSpaceLossDb } from './pathLoss.ts';
import * as phrases from './phrases.ts';

/** How an interference test is made. On the air it is unlawful in most places, and so is not offered. */
export const INTERFERENCE_TESTS = ['cabled', 'shielded'] as const;
export type InterferenceTest = (typeof INTERFERENCE_TESTS)[number];

/** One source of interference, as recorded when the wanted link just failed. */
export interface InterferenceRecord {
  readonly test: InterferenceTest;
  readonly frequencyMHz: number;
  /** What the source puts out: EIRP in a shielded room, level at its connector on a cable; absent: not stated. */
  readonly sourceDbm?: number;
  /** Share of the time it is on, 0 to 1. */
  readonly duty: number;
  /** In a shielded room: from the source to each end, metres. On a cable: the loss to each end, dB. */
  readonly toFixed?: number;
  readonly toMobile?: number;
  /**
   * Level of the wanted signal at each end, dBm, when the link just failed; absent where it was not measured.
   */
  readonly wantedAtFixedDbm?: number;
  readonly wantedAtMobileDbm?: number;
}

/**
 * Wanted over unwanted at each end, dB, while the source is on: the result of such a test. It is no range.
 */
export interface InterferenceRatio {
  readonly atFixedDb: number | undefined;
  readonly atMobileDb: number | undefined;
  /** What its mean power is below its peak by, dB. */
  readonly dutyDb: number;
}

export function interferenceRatio(record: InterferenceRecord): InterferenceRatio {
  const { test, frequencyMHz, sourceDbm, duty, toFixed, toMobile, wantedAtFixedDbm, wantedAtMobileDbm } =
    record;
  if (!(duty > 0 && duty <= 1)) throw new RangeError(phrases.invalidDuty(duty));
  const lossDb = (to: number): number => (test === 'cabled' ? to : freeSpaceLossDb(frequencyMHz, to));
  const over = (wantedDbm: number | undefined, to: number | undefined): number | undefined =>
    wantedDbm === undefined || to === undefined || sourceDbm === undefined
      ? undefined
      : wantedDbm - (sourceDbm - lossDb(to));
  return {
    atFixedDb: over(wantedAtFixedDbm, toFixed),
    atMobileDb: over(wantedAtMobileDbm, toMobile),
    dutyDb: -10 * Math.log10(duty),
  };
}
