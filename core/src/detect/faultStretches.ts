import type { Grade } from '../grade/grade.ts';
import type { ArtefactKind, Detected } from './detected.ts';

/** Faults closer than this are one stretch, s. */
const JOINED_S = 2;
/** A fault that is a moment spoils so much, s: a frame at 25 a second. */
const MOMENT_S = 0.04;
/** Spoilt for this share of a stretch and more, a grade less is proposed. */
export const SPOILT_SHARE = 0.2;

/** A time in which something was worse than it was sent. */
export interface FaultStretch {
  readonly fromS: number;
  readonly toS: number;
  /** What was found, the most frequent first. */
  readonly faults: readonly { readonly kind: ArtefactKind; readonly times: number }[];
  /** Of the stretch, 0 to 1. */
  readonly spoiltShare: number;
  /**
   * What it may have been graded: 4, first artefacts, or 3, usable, where much of it is spoilt. Whether anything of
   * use still came through is for a person to say.
   */
  readonly proposed: Grade;
}

/** Faults that lie near each other as stretches, in order, each with a grade to be confirmed. */
export function faultStretches(artefacts: readonly Detected<ArtefactKind>[]): readonly FaultStretch[] {
  const stretches: Detected<ArtefactKind>[][] = [];
  let toS = -Infinity;
  for (const fault of [...artefacts].sort((a, b) => a.fromS - b.fromS)) {
    if (fault.fromS - toS > JOINED_S) stretches.push([]);
    stretches.at(-1)?.push(fault);
    toS = Math.max(toS, endOf(fault));
  }
  return stretches.map(stretchOf);
}

const endOf = ({ fromS, toS }: Detected): number => Math.max(toS, fromS + MOMENT_S);

function stretchOf(own: readonly Detected<ArtefactKind>[]): FaultStretch {
  const fromS = Math.min(...own.map((f) => f.fromS));
  const toS = Math.max(...own.map(endOf));
  // What overlaps spoils once.
  let [spoiltS, untilS] = [0, fromS];
  for (const fault of own) {
    spoiltS += Math.max(0, endOf(fault) - Math.max(untilS, fault.fromS));
    untilS = Math.max(untilS, endOf(fault));
  }
  const kinds = [...new Set(own.map((f) => f.kind))];
  const spoiltShare = spoiltS / (toS - fromS);
  // One fault by itself fills its stretch: it is a first artefact all the same.
  const much = own.length > 1 && spoiltShare >= SPOILT_SHARE;
  return {
    fromS,
    toS,
    faults: kinds
      .map((kind) => ({ kind, times: own.filter((f) => f.kind === kind).length }))
      .sort((a, b) => b.times - a.times),
    spoiltShare,
    proposed: much ? 3 : 4,
  };
}
