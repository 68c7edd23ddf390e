import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { readWalkIntervals } from '../../formats/walkIntervalsCsv.ts';
import type { QuantileEstimate } from './quantile.ts';
import { summariseRanges, type RangeSummary } from './summarise.ts';

// R 4.2.2, survival 3.5-3: see reference/README.md.
interface Reference {
  n: number;
  censoring: Record<string, number>;
  product_levels: string[];
  path_levels: string[];
  coefficients: Record<string, number>;
  sigma: number;
  loglik: number;
  vcov_names: string[];
  vcov: number[][];
  fitted: {
    product: string;
    path: string;
    walks: number;
    median: ReferenceQuantile;
    p10: ReferenceQuantile;
  }[];
  product_ratios: {
    ratio: number;
    log_ratio: number;
    se_log: number;
    lower95: number;
    upper95: number;
    wald_p: number;
  }[];
  lr_test_product: { statistic: number; df: number; p_value: number } | null;
}
interface ReferenceQuantile {
  estimate_m: number;
  se_log: number;
  lower95_m: number;
  upper95_m: number;
}

const file = (name: string): string => readFileSync(new URL(`reference/${name}`, import.meta.url), 'utf8');
const close = (actual: number | undefined, expected: number): void => {
  expect(Math.abs((actual as number) - expected)).toBeLessThanOrEqual(1e-6 * Math.abs(expected) + 1e-12);
};
function quantileMatches(actual: QuantileEstimate | undefined, expected: ReferenceQuantile): void {
  close(actual?.estimateM, expected.estimate_m);
  close(actual?.seLog, expected.se_log);
  close(actual?.wald95M[0], expected.lower95_m);
  close(actual?.wald95M[1], expected.upper95_m);
}

describe.each(['a', 'c', 'd_part'])(
  'the interval-censored lognormal fit of data set %s equals survreg',
  (id) => {
    const reference = JSON.parse(file(`${id}.json`)) as Reference;
    const rows = readWalkIntervals(file(`${id}.csv`));
    const summary: RangeSummary = summariseRanges(rows);

    test('counts and levels', () => {
      expect(summary.n).toBe(reference.n);
      expect(summary.censoring).toEqual(reference.censoring);
      expect(summary.productLevels).toEqual(reference.product_levels);
      expect(summary.pathLevels).toEqual(reference.path_levels);
    });

    test('coefficients, sigma, log-likelihood and covariance', () => {
      expect(summary.coefficients.map((c) => c.name)).toEqual(Object.keys(reference.coefficients));
      for (const { name, value } of summary.coefficients)
        close(value, reference.coefficients[name] as number);
      close(summary.sigma, reference.sigma);
      close(summary.loglik, reference.loglik);
      expect(summary.covarianceNames).toEqual(reference.vcov_names);
      reference.vcov.forEach((row, i) =>
        row.forEach((value, j) => close(summary.covariance?.[i]?.[j], value)),
      );
    });

    test('medians, p10, ratios and the likelihood-ratio test', () => {
      reference.fitted.forEach((expected, i) => {
        const cell = summary.fitted[i];
        expect([cell?.product, cell?.path, cell?.walks]).toEqual([
          expected.product,
          expected.path,
          expected.walks,
        ]);
        quantileMatches(cell?.shared.median, expected.median);
        quantileMatches(cell?.p10, expected.p10);
      });
      expect(summary.productRatios).toHaveLength(reference.product_ratios.length);
      reference.product_ratios.forEach((expected, i) => {
        const estimate = summary.productRatios[i]?.estimate;
        close(estimate?.ratio, expected.ratio);
        close(estimate?.logRatio, expected.log_ratio);
        close(estimate?.seLog, expected.se_log);
        close(estimate?.wald95[0], expected.lower95);
        close(estimate?.wald95[1], expected.upper95);
        close(estimate?.waldP, expected.wald_p);
      });
      if (reference.lr_test_product === null) expect(summary.lrTestProduct).toBeUndefined();
      else {
        expect(summary.lrTestProduct?.df).toBe(reference.lr_test_product.df);
        close(summary.lrTestProduct?.statistic, reference.lr_test_product.statistic);
        close(summary.lrTestProduct?.pValue, reference.lr_test_product.p_value);
      }
    });

    test('the same in feet, and in any order of rows', () => {
      const feet = rows.map((w) => ({
        ...w,
        heldM: w.heldM / 0.3048,
        failedM: w.failedM === undefined ? undefined : w.failedM / 0.3048,
      }));
      const inFeet = summariseRanges(feet);
      close(inFeet.sigma, summary.sigma as number);
      inFeet.fitted.forEach((cell, i) =>
        close(
          (cell.shared.median?.estimateM ?? 0) * 0.3048,
          summary.fitted[i]?.shared.median?.estimateM as number,
        ),
      );
      const shuffled = summariseRanges([...rows].reverse());
      for (const cell of shuffled.fitted) {
        const same = summary.fitted.find((c) => c.product === cell.product && c.path === cell.path);
        close(cell.shared.median?.estimateM, same?.shared.median?.estimateM as number);
        close(cell.p10?.estimateM, same?.p10?.estimateM as number);
      }
    });
  },
);
