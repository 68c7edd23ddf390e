import { GRADES, type Grade } from './grade.ts';

/** How somebody graded something that was degraded so much. */
export interface Graded {
  /** How much of it was lost, 0 to 1; any other scale that grows with it serves too. */
  readonly level: number;
  readonly grade: Grade;
}

/** From which level on somebody grades below a grade: above the one, and by the other at the latest. */
export interface GradeThreshold {
  /** Below this grade. */
  readonly below: Grade;
  /** The highest level that was still graded so; undefined: none was. */
  readonly heldAt: number | undefined;
  /** The least level that was graded below; undefined: none was. */
  readonly failedAt: number | undefined;
}

/** What a person's grades say of where they set each threshold, and how steadily. */
export interface Grading {
  /** From the best grade down. */
  readonly thresholds: readonly GradeThreshold[];
  /** Mean difference between two grades of the same level; undefined where no level was graded twice. */
  readonly wobble: number | undefined;
  /** Pairs of levels of which the worse one was graded better. */
  readonly reversals: number;
}

export function gradingOf(graded: readonly Graded[]): Grading {
  const levels = [...new Set(graded.map((g) => g.level))].toSorted((a, b) => a - b);
  const of = (level: number): readonly Grade[] => graded.filter((g) => g.level === level).map((g) => g.grade);
  const middles = levels.map((level) => {
    const grades = of(level);
    return grades.reduce<number>((sum, g) => sum + g, 0) / grades.length;
  });
  const differences = levels.flatMap((level) => {
    const grades = of(level);
    return grades.flatMap((a, i) => grades.slice(i + 1).map((b) => Math.abs(a - b)));
  });
  const descending = GRADES.toSorted((a, b) => b - a);
  return {
    thresholds: descending.slice(0, -1).map((below) => {
      const held = levels.filter((_, i) => (middles[i] as number) >= below);
      const failed = levels.filter((_, i) => (middles[i] as number) < below);
      return { below, heldAt: held.at(-1), failedAt: failed[0] };
    }),
    wobble:
      differences.length === 0 ? undefined : differences.reduce((sum, d) => sum + d, 0) / differences.length,
    reversals: middles.reduce(
      (count, m, i) => count + middles.slice(i + 1).filter((later) => later > m).length,
      0,
    ),
  };
}
