import type { Trace } from './trace.ts';

export interface Dropout {
  readonly fromS: number;
  readonly toS: number;
  readonly fromM: number | undefined;
  readonly toM: number | undefined;
  readonly returning: boolean;
}

export interface WalkSummary {
  readonly durationS: number;
  readonly farthestM: number | undefined;
  /** Share of the outward way, by distance, that was usable (grade 3 or better). */
  readonly usableShare: number | undefined;
  readonly longestUsableM: number | undefined;
  readonly dropouts: readonly Dropout[];
  readonly lostS: number;
  readonly longestDropoutS: number;
}

export function summariseWalk(trace: Trace): WalkSummary {
  const out = trace.stretches.filter((s) => !s.returning && s.from && s.to);
  const lengthM = (s: (typeof out)[number]): number =>
    Math.abs((s.to?.travelledM ?? 0) - (s.from?.travelledM ?? 0));
  const totalM = out.reduce((sum, s) => sum + lengthM(s), 0);
  const runs = out.reduce<number[]>(
    (lengths, s) =>
      s.grade >= 3 ? [...lengths.slice(0, -1), (lengths.at(-1) ?? 0) + lengthM(s)] : [...lengths, 0],
    [0],
  );
  const dropouts = dropoutsOf(trace);
  const seconds = dropouts.map((d) => d.toS - d.fromS);
  return {
    durationS: trace.endS - trace.begin.time.walkS,
    farthestM: trace.fixes.length === 0 ? undefined : Math.max(...trace.fixes.map((f) => f.travelledM)),
    usableShare:
      totalM > 0 ? out.reduce((sum, s) => sum + (s.grade >= 3 ? lengthM(s) : 0), 0) / totalM : undefined,
    longestUsableM: totalM > 0 ? Math.max(...runs) : undefined,
    dropouts,
    lostS: seconds.reduce((a, b) => a + b, 0),
    longestDropoutS: Math.max(0, ...seconds),
  };
}

/** Stretches of loss; one that spans the turn is cut there, and counts as one. */
function dropoutsOf(trace: Trace): Dropout[] {
  const dropouts: Dropout[] = [];
  for (const s of trace.stretches) {
    if (s.state !== 'lost') continue;
    const before = dropouts.at(-1);
    if (before && before.toS === s.fromS)
      dropouts[dropouts.length - 1] = { ...before, toS: s.toS, toM: s.to?.travelledM };
    else
      dropouts.push({
        fromS: s.fromS,
        toS: s.toS,
        fromM: s.from?.travelledM,
        toM: s.to?.travelledM,
        returning: s.returning,
      });
  }
  return dropouts;
}
