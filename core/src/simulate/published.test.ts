import { describe, expect, test } from '@jest/globals';
import { clopperPearson } from '../numeric/binomial.ts';
import { PLAIN_WORLD, publishedIn, type Statement, type Told, type World } from './published.ts';
import {
  capSharesIn,
  decidedWithMoreWalks,
  figureReachIn,
  throughputVerdictsIn,
  trialDistancesIn,
} from './publishedFigures.ts';

// The short form of npm run bench:coverage, whose table stands in docs/intervals.md.

const SETS = 40;

/** As far as so few can tell, the share that is true is at least this: wrong once in a thousand times. */
const mayBe = ({ made, true: right }: Told, least: number): void =>
  expect(clopperPearson(right, made, 0.998).high).toBeGreaterThanOrEqual(least);

const INTERVALS: readonly Statement[] = ['median', 'p10', 'ratio', 'apart'];
const VERDICTS: readonly Statement[] = ['meets', 'fails', 'supported', 'refuted'];

const days = { dayU: 0.2, setUpU: 0.1 };

describe('what is published of walks that people make', () => {
  test.each<[string, Partial<World>, without?: Statement[]]>([
    ['stands every 20 m, which are coarse', { stands: { everyM: 20 }, sigmas: [0.1, 0.1] }],
    ['a loose product beside a tight one', { sigmas: [0.35, 0.1] }],
    ['one day, one set-up', { ...days, days: 'one' }, ['apart']],
    ['four days, both on each', { ...days, walksEach: 8, days: { both: 4 } }],
    ['three days of its own each', { ...days, walksEach: 9, days: { apart: 3 } }],
    ['drives at 14 m/s', { drivenMps: 14, sigmas: [0.05, 0.05] }],
  ])(
    '%s: intervals hold, and verdicts at the boundary are false no more often than is said',
    (_, more, without = []) => {
      const found = publishedIn({ ...PLAIN_WORLD, ...more }, SETS, 'test');
      for (const statement of INTERVALS)
        if (without.includes(statement)) expect(found[statement].made).toBe(0);
        else {
          expect(found[statement].made).toBeGreaterThan(0.75 * SETS);
          mayBe(found[statement], 0.95);
        }
      for (const statement of VERDICTS) mayBe(found[statement], 0.975);
    },
    60_000,
  );

  test('one day of its own for each tells no ratio at all', () => {
    const found = publishedIn({ ...PLAIN_WORLD, ...days, days: { apart: 1 } }, 10, 'test');
    expect([found.ratio.made, found.apart.made]).toEqual([0, 0]);
    expect(found.median.made).toBe(10);
  });

  test('known weaknesses are there, and are what the words beside them say', () => {
    const bad = publishedIn({ ...PLAIN_WORLD, walksEach: 10, bad: 0.2 }, SETS, 'test');
    // One bad walk in five: a tenth is a statement of the model, and the model does not know of it.
    expect(bad.p10.true / bad.p10.made).toBeLessThan(0.95);
    mayBe(bad.median, 0.93);
  }, 60_000);
});

describe('what is published of presses, readings and numbers of walks', () => {
  test('the distance at which half of the presses are answered, over walks', () => {
    const { d50, d90 } = trialDistancesIn(5, SETS, 'test');
    mayBe(d50, 0.95);
    mayBe(d90, 0.95);
  });

  test('a claim of throughput that is just true is hardly ever decided', () => {
    const { supported, refuted } = throughputVerdictsIn(10, 400, 'test');
    mayBe(supported, 0.975);
    mayBe(refuted, 0.975);
  });

  test('how far a figure reaches, by readings at stands, over walks', () => {
    const found = figureReachIn(5, SETS, 'test');
    expect(found.made).toBeGreaterThan(SETS / 2);
    mayBe(found, 0.95);
  });

  test('flat readings alone find few true caps, and false ones: none of them decides against a product', () => {
    const found = capSharesIn(0.1, 0, 200, 'test');
    expect(found.true / found.made).toBeLessThan(0.5);
    expect(capSharesIn(0.03, 0.02, 200, 'test').true).toBeGreaterThan(0);
  });

  test('“about n walks” is enough in eight cases of ten', () => {
    mayBe(decidedWithMoreWalks(0.2, 0.15, 200, 'test'), 0.8);
    const { true: decided, made } = decidedWithMoreWalks(0.2, 0.25, 200, 'test');
    expect(clopperPearson(decided, made, 0.998).low).toBeLessThanOrEqual(0.85);
  });
});
