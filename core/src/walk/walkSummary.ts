import type { Trace } from './trace.ts';

export interface Dropout {
  readonly fromS: number;
  readonly toS: number;
  readonly fromM: number | undefined;
  readonly toM: number | undefined;
  readonly returning: boolean;
}

/** What was found at the stands of the way out: between them nothing is known. */
export interface StandCount {
  readonly stands: number;
  readonly usable: number;
  /** The most stands in a row that were usable, and from where to where. */
  readonly longest: {
    readonly stands: number;
    readonly fromM: number | undefined;
    readonly toM: number | undefined;
  };
}

export interface WalkSummary {
  /** Absent where the walk was written down without times. */
  readonly durationS: number | undefined;
  readonly farthestM: number | undefined;
  /** Share of the outward way, by distance, that was usable (grade 3 or better); absent at stands. */
  readonly usableShare: number | undefined;
  readonly longestUsableM: number | undefined;
  /** Absent where one looked all the time. */
  readonly atStands: StandCount | undefined;
  readonly dropouts: readonly Dropout[];
  readonly lostS: number;
  readonly longestDropoutS: number;
}

const USABLE = 3;

export function summariseWalk(trace: Trace): WalkSummary {
  const dropouts = dropoutsOf(trace);
  const seconds = dropouts.map((d) => d.toS - d.fromS);
  return {
    durationS: trace.begin.body.untimed ? undefined : trace.endS - trace.begin.time.walkS,
    farthestM: trace.fixes.length === 0 ? undefined : Math.max(...trace.fixes.map((f) => f.travelledM)),
    ...(trace.byStands ? overStands(trace) : overTheWay(trace)),
    dropouts,
    lostS: seconds.reduce((a, b) => a + b, 0),
    longestDropoutS: Math.max(0, ...seconds),
  };
}

type Usable = Pick<WalkSummary, 'usableShare' | 'longestUsableM' | 'atStands'>;

function overTheWay(trace: Trace): Usable {
  const out = trace.stretches.filter((s) => !s.returning && s.stated && s.from && s.to);
  const lengthM = (s: (typeof out)[number]): number =>
    Math.abs((s.to?.travelledM ?? 0) - (s.from?.travelledM ?? 0));
  const totalM = out.reduce((sum, s) => sum + lengthM(s), 0);
  const runs = out.reduce<number[]>(
    (lengths, s) =>
      s.grade >= USABLE ? [...lengths.slice(0, -1), (lengths.at(-1) ?? 0) + lengthM(s)] : [...lengths, 0],
    [0],
  );
  return {
    usableShare:
      totalM > 0 ? out.reduce((sum, s) => sum + (s.grade >= USABLE ? lengthM(s) : 0), 0) / totalM : undefined,
    longestUsableM: totalM > 0 ? Math.max(...runs) : undefined,
    atStands: undefined,
  };
}

function overStands(trace: Trace): Usable {
  // The zero point is where one grades what one begins with, no stand of the way.
  const out = trace.looks.filter((l) => !l.returning && l.stand);
  const runs = out.reduce<(typeof out)[]>(
    (list, l) => (l.worst >= USABLE ? [...list.slice(0, -1), [...(list.at(-1) ?? []), l]] : [...list, []]),
    [[]],
  );
  const longest = runs.reduce((a, b) => (b.length > a.length ? b : a));
  return {
    usableShare: undefined,
    longestUsableM: undefined,
    atStands: {
      stands: out.length,
      usable: out.filter((l) => l.worst >= USABLE).length,
      longest: {
        stands: longest.length,
        fromM: longest[0]?.place?.travelledM,
        toM: longest.at(-1)?.place?.travelledM,
      },
    },
  };
}

/** Stretches of loss as they were pressed; one that spans the turn is cut there, and counts as one. */
function dropoutsOf(trace: Trace): Dropout[] {
  const dropouts: Dropout[] = [];
  for (const s of trace.noticed) {
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
