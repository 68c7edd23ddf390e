import { certaintyOf, type Detected, type DropoutKind } from '../detect/detected.ts';
import { BEACON_TICK_S } from './message.ts';
import { stepOf, type BeaconTrack } from './track.ts';
import type { SeenCode } from './seenCodes.ts';
import * as phrases from './phrases.ts';

/** One code is passed over now and then, by a rolling shutter or a key frame; so many in a row are a loss. */
const LEAST_IN_A_ROW = 2;

/**
 * Stretches in which no new code was read, though codes were being sent: from when the next one should have come to
 * when one did. A code that stands is a frozen picture: it is lost from when the next should have come.
 * @param endS of the recording
 */
export function beaconLosses(
  { read }: Pick<BeaconTrack<SeenCode>, 'read'>,
  endS: number,
): Detected<DropoutKind>[] {
  const stepS = BEACON_TICK_S * stepOf(read);
  if (stepS <= 0) return [];
  return read.flatMap((r, i): Detected<DropoutKind>[] => {
    const next = read[i + 1];
    const [dueS, cameS] = [r.atS + stepS, next?.atS ?? endS];
    const missed = Math.round((cameS - dueS) / stepS);
    return missed < LEAST_IN_A_ROW
      ? []
      : [
          {
            kind: 'beacon unread',
            ...{ fromS: dueS, toS: cameS, open: next === undefined },
            certainty: certaintyOf(missed, 1),
            figure: phrases.inARowNotRead(
              phrases.countedCodes(missed),
              r.toS > dueS ? ', the one before stood' : '',
            ),
          },
        ];
  });
}
