import {
  costPerMetre,
  DIRECTIONS,
  figureNeedText,
  judgeNeed,
  kindOf,
  parseFigureNeed,
  parseLength,
  reachOfNeed,
  totalCost,
  type CostPerMetre,
  type FigureNeed,
  type NeedVerdict,
  criterionFor,
} from '@urvek/core';
import { type Need, type Product, type Setup } from '@urvek/contract';
import type { Finding, SetupPath } from '../results/findings.ts';
import { figureRange, type FigureRange } from '../results/figureRanges.ts';
import { rangesByPath, type PathRanges } from '../results/ranges.ts';
import { speaksTo } from './claims.ts';
import * as phrases from './phrases.ts';

export interface NeedJudged {
  readonly need: Need;
  readonly product: Product;
  /** Who is judged: the product, or one of its rigs where they differ. */
  readonly subject: string;
  /** The path it was judged on: of several, the one with the least margin. */
  readonly path: SetupPath | undefined;
  readonly verdict: NeedVerdict;
}

/** "30 m, open", "40 Mbit/s at 30 m, open", "40 Mbit/s: to where, open". */
export const needText = ({ entered, figure, condition }: Need): string => {
  const asked =
    figure === undefined ? entered : entered === '' ? phrases.toWhere(figure) : phrases.at(figure, entered);
  return `${asked}, ${condition}`;
};

const WORST_FIRST = ['fails', 'unknown', 'marginal', 'distance', 'meets'] as const;

/**
 * Every need for every product of its kind, on the paths of its condition; the path that serves it worst
 * counts. In order of margin, unknown ones last.
 */
export function judgeNeeds(setup: Setup, findings: readonly Finding[]): NeedJudged[] {
  return (setup.needs ?? []).flatMap((need) => {
    const fitting = {
      ...setup,
      products: setup.products.filter((p) => p.kindId === need.kindId),
      paths: setup.paths.filter((p) => speaksTo(p, need)),
    };
    const ranges = rangesByPath(fitting, findings, need.criterion, need.side).filter(
      (r) => r.summary.n > 0 || need.figure !== undefined,
    );
    const judged = fitting.products.flatMap((product) => {
      const subjects = new Set(
        ranges.flatMap((r) => r.subjects.filter((s) => s.product.id === product.id).map((s) => s.name)),
      );
      return (subjects.size === 0 ? [product.name] : [...subjects]).map((subject) =>
        worst(need, product, subject, ranges),
      );
    });
    return judged.sort((a, b) => (b.verdict.margin ?? -1) - (a.verdict.margin ?? -1));
  });
}

function worst(need: Need, product: Product, subject: string, ranges: readonly PathRanges[]): NeedJudged {
  if (need.figure !== undefined)
    return worstFigure(need, parseFigureNeed(need.figure), product, subject, ranges);
  const { valueM: distanceM } = parseLength(need.entered);
  const judge = (range: PathRanges | undefined): NeedJudged => ({
    need,
    product,
    subject,
    path: range?.path,
    verdict: judgeNeed(
      { use: need.use, entered: need.entered, distanceM, condition: need.condition },
      range?.criterion ?? criterionFor(need.criterion, product.kindId),
      range?.summary.fitted.find((c) => c.product === subject),
      range?.walks.flatMap((w) => (w.product === subject && w.interval ? [w.interval] : [])),
    ),
  });
  const walked = ranges
    .filter((r) => r.summary.fitted.some((c) => c.product === subject && c.walks > 0))
    .map(judge);
  return worstOf(walked) ?? judge(undefined);
}

const worstOf = (judged: readonly NeedJudged[]): NeedJudged | undefined =>
  [...judged].sort(
    (a, b) =>
      WORST_FIRST.indexOf(a.verdict.outcome) - WORST_FIRST.indexOf(b.verdict.outcome) ||
      (a.verdict.margin ?? 0) - (b.verdict.margin ?? 0),
  )[0];

/** Each way that is asked for, on each path: by how far the figure reaches. */
function worstFigure(
  need: Need,
  figure: FigureNeed,
  product: Product,
  subject: string,
  ranges: readonly PathRanges[],
): NeedJudged {
  const asked = figureNeedText(figure);
  const ways = DIRECTIONS.filter(
    (d) => (need.side ?? kindOf(product.kindId).direction) === d || need.side === 'both ways',
  );
  const judge = (path: SetupPath | undefined, found: FigureRange | undefined): NeedJudged => {
    const cell = found?.summary.fitted.find((c) => c.product === subject);
    const way = found && `${asked}, ${found.direction}`;
    return {
      ...{ need, product, subject, path },
      verdict:
        need.entered === ''
          ? reachOfNeed(way ?? asked, cell)
          : judgeNeed(
              { ...need, distanceM: parseLength(need.entered).valueM },
              way ?? asked,
              cell,
              found?.rows.filter((w) => w.product === subject),
            ),
    };
  };
  const judged = ranges.flatMap((r) =>
    ways.flatMap((way) => {
      const found = figureRange(r, figure, way);
      return found?.summary.fitted.some((c) => c.product === subject && c.walks > 0)
        ? [judge(r.path, found)]
        : [];
    }),
  );
  return worstOf(judged) ?? judge(undefined, undefined);
}

export interface CostTable {
  readonly title: string;
  readonly pathId: string;
  readonly kindId: string;
  readonly rows: readonly CostPerMetre[];
}

/**
 * Cost per metre of the distance to which 9 of 10 walks hold, by path and kind, of the products that state
 * a cost and have one.
 */
export function costTables(ranges: readonly PathRanges[]): CostTable[] {
  return ranges.flatMap(({ path, kindId, subjects, summary }): CostTable[] => {
    const costed = subjects.flatMap(({ name, product: { costs = [] } }) => {
      const reachM = summary.fitted.find((c) => c.product === name)?.own?.p10?.estimateM;
      return costs.length > 0 && reachM !== undefined
        ? [{ product: name, total: totalCost(costs), reachM }]
        : [];
    });
    return costed.length > 0
      ? [
          {
            title: `${path.name}, ${kindOf(kindId).name}`,
            pathId: path.id,
            kindId,
            rows: costPerMetre(costed),
          },
        ]
      : [];
  });
}
