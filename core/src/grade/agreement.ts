import { Z95 } from '../numeric/normal.ts';
import { GRADES, type Grade } from './grade.ts';
import type { Graded } from './thresholds.ts';

/** How far two people agree in their grades, beyond what chance would give: 1 wholly, 0 as by chance. */
export interface GradersAgreement {
  readonly kappa: number;
  /** By its large-sample standard error; undefined where fewer than ten things were graded, or all alike. */
  readonly interval95: readonly [number, number] | undefined;
  readonly graded: number;
}

/** Below it the interval, which is one of large samples, would promise too much. */
const LEAST_GRADED = 10;

/** Weight of two categories of so many: 1 where they are one, less with the square of their distance. */
export const quadraticWeight = (i: number, j: number, categories: number): number =>
  1 - ((i - j) / (categories - 1)) ** 2;

/**
 * Weighted kappa (J. Cohen, Psychological Bulletin 70, 1968) of shares `p[i][j]` that the one puts into i and the other
 * into j, with its standard error (J. L. Fleiss, J. Cohen, B. S. Everitt, Psychological Bulletin 72, 1969) for n
 * things.
 * @returns undefined kappa where both use one category only: chance agrees as well. @throws RangeError
 */
export function weightedKappa(
  p: readonly (readonly number[])[],
  weight: (i: number, j: number, categories: number) => number,
  n: number,
): { readonly kappa: number | undefined; readonly standardError: number | undefined } {
  const size = p.length;
  if (size < 2 || p.some((row) => row.length !== size)) throw new RangeError(`invalid table: ${size} rows`);
  if (!(n > 0)) throw new RangeError(`invalid n: ${n}`);
  const at = (i: number, j: number): number => (p[i] as readonly number[])[j] as number;
  const all = Array.from({ length: size }, (_, i) => i);
  const sum = (of: (i: number) => number): number => all.reduce((total, i) => total + of(i), 0);
  const rows = all.map((i) => sum((j) => at(i, j)));
  const columns = all.map((j) => sum((i) => at(i, j)));
  const w = (i: number, j: number): number => weight(i, j, size);
  const observed = sum((i) => sum((j) => w(i, j) * at(i, j)));
  const chance = sum((i) => sum((j) => w(i, j) * (rows[i] as number) * (columns[j] as number)));
  if (1 - chance < 1e-12) return { kappa: undefined, standardError: undefined };
  const meanOfRow = all.map((i) => sum((j) => w(i, j) * (columns[j] as number)));
  const meanOfColumn = all.map((j) => sum((i) => w(i, j) * (rows[i] as number)));
  const squares = sum((i) =>
    sum((j) => {
      const off =
        w(i, j) * (1 - chance) - ((meanOfRow[i] as number) + (meanOfColumn[j] as number)) * (1 - observed);
      return at(i, j) * off * off;
    }),
  );
  const variance = (squares - (observed * chance - 2 * chance + observed) ** 2) / (n * (1 - chance) ** 4);
  return {
    kappa: (observed - chance) / (1 - chance),
    standardError: Math.sqrt(Math.max(0, variance)),
  };
}

/** The grades of one level by two people, in the order in which each gave them. */
export function clipPairs(a: readonly Graded[], b: readonly Graded[]): (readonly [Grade, Grade])[] {
  const of = (graded: readonly Graded[], level: number): Grade[] =>
    graded.filter((g) => g.level === level).map((g) => g.grade);
  return [...new Set(a.map((g) => g.level))].flatMap((level) => {
    const [own, other] = [of(a, level), of(b, level)];
    return own.flatMap((grade, i) => {
      const also = other[i];
      return also === undefined ? [] : [[grade, also] as const];
    });
  });
}

/** Two people's grades of the same things, with weights that fall with the square of the distance. */
export function gradersAgreement(pairs: readonly (readonly [Grade, Grade])[]): GradersAgreement | undefined {
  if (pairs.length === 0) return undefined;
  const table = GRADES.map((a) =>
    GRADES.map((b) => pairs.filter(([x, y]) => x === a && y === b).length / pairs.length),
  );
  const { kappa, standardError = 0 } = weightedKappa(table, quadraticWeight, pairs.length);
  if (kappa === undefined) return undefined;
  const half = Z95 * standardError;
  return {
    kappa,
    interval95:
      pairs.length >= LEAST_GRADED && standardError > 0
        ? [Math.max(-1, kappa - half), Math.min(1, kappa + half)]
        : undefined,
    graded: pairs.length,
  };
}
