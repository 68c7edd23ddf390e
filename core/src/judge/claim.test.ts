import { expect, test } from '@jest/globals';
import { summariseRanges } from '../estimate/range/summarise.ts';
import type { WalkInterval } from '../walk/walkInterval.ts';
import { judgeClaim, type Claim, type Verdict } from './claim.ts';

const walk = (heldM: number, failedM?: number): WalkInterval => ({
  product: 'A',
  path: 'open',
  walk: '1',
  heldM,
  failedM,
});
const spread = (around: number, n: number): WalkInterval[] =>
  Array.from({ length: n }, (_, i) =>
    walk(around * (0.9 + (0.2 * i) / (n - 1)), around * (0.92 + (0.2 * i) / (n - 1))),
  );

function judge(claim: Partial<Claim>, walks: readonly WalkInterval[], pathReachM = 420): Verdict {
  const cell = summariseRanges(walks).fitted[0];
  return judgeClaim(
    { entered: '100 m', distanceM: 100, upTo: true, condition: 'open', ...claim },
    { criterion: 'first dropout', cell, unitsTested: 1, pathReachM },
  );
}

test('supported when the whole interval of the median lies beyond it', () => {
  const verdict = judge({}, spread(130, 6));
  expect(verdict.outcome).toBe('supported');
  expect(verdict.reason).toContain('6 walks');
  expect(verdict.caveats.join()).toContain('One unit was tested');
});

test('"up to" is refuted only when even the best tenth stays below', () => {
  const walks = spread(93, 6);
  expect(judge({}, walks).outcome).toBe('undecided');
  expect(judge({ upTo: false, distanceM: 105, entered: '105 m' }, walks).outcome).toBe('refuted');
  expect(judge({}, spread(60, 6)).outcome).toBe('refuted');
});

test('an interval that holds the claim decides nothing, and the next measurement is named', () => {
  const verdict = judge({ distanceM: 130, entered: '130 m' }, spread(128, 6));
  expect(verdict.outcome).toBe('undecided');
  expect(verdict.next).toMatch(/126, 130, 134 m/);
});

test(
  'bounds: five walks that all hold support a claim below their end; four do not; and never one ' +
    'beyond the path',
  () => {
    const held = (n: number, m: number): WalkInterval[] => Array.from({ length: n }, () => walk(m));
    expect(judge({}, held(5, 110), 110).outcome).toBe('supported');
    expect(judge({}, held(4, 110), 110)).toMatchObject({ outcome: 'undecided' });
    const short = judge({}, held(5, 90), 90);
    expect(short.outcome).toBe('undecided');
    expect(short.next).toContain('could never settle 100 m');
  },
);

test('one walk decides nothing; no walk in the claim’s condition is not tested', () => {
  expect(judge({}, [walk(150, 160)]).outcome).toBe('undecided');
  const verdict = judgeClaim(
    { entered: '100 m', distanceM: 100, upTo: true, condition: 'open' },
    { criterion: 'first dropout', cell: undefined, unitsTested: 0, pathReachM: undefined },
  );
  expect(verdict).toMatchObject({
    outcome: 'not tested',
    reason: 'No path here is open: walks elsewhere say nothing on this claim.',
  });
  expect(verdict.next).toBe('Walk it on an open path of at least 150 m.');
});
