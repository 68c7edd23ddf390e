import { describe, expect, test } from '@jest/globals';
import { signTest } from '../../numeric/signTest.ts';
import { constantRatioBounds, hangsOn } from './constantRatio.ts';
import { pairAtStands, type HeardWalk } from './standPairs.ts';

// The worked values of METHODS §17.
test.each([
  [8, 8, 0.0078],
  [6, 6, 0.0313],
  [5, 5, 0.0625],
  [9, 10, 0.0215],
])('%d of %d outings: p %d', (k, n, p) => {
  expect(signTest(k, n)).toBeCloseTo(p, 4);
  expect(signTest(n - k, n)).toBeCloseTo(p, 4);
});

describe('stands heard by both', () => {
  const walk = (outing: string, holdsTo: number): HeardWalk => ({
    outing,
    stands: [20, 40, 60, 80].map((atM) => ({ atM, held: atM <= holdsTo })),
  });

  test('with one outing the stands are counted, and no p is given', () => {
    expect(pairAtStands([walk('mon', 40)], [walk('mon', 80)])).toEqual({
      stands: 4,
      firstOnly: 0,
      secondOnly: 2,
      outings: 1,
      firstFarther: 0,
      secondFarther: 1,
      noted: { first: 0, second: 0 },
      p: undefined,
    });
    expect(pairAtStands([walk('mon', 40)], [walk('tue', 80)])).toBeUndefined();
  });

  test('the test is over outings, one sign each, ties left out', () => {
    const days = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
    const found = pairAtStands(
      days.map((d) => walk(d, 40)),
      days.map((d, i) => walk(d, i === 0 ? 40 : 60)),
    );
    expect(found).toMatchObject({ outings: 7, firstFarther: 0, secondFarther: 6, secondOnly: 6 });
    expect(found?.p).toBeCloseTo(0.03125, 9);
  });
});

test('what was only noted of an outing counts for its sign, where no stand tells it', () => {
  const stands = [{ atM: 20, held: true }];
  const noted = new Map([
    ['mon', 1],
    ['tue', 1],
    ['wed', -1],
    ['thu', 0],
  ]);
  expect(pairAtStands([], [], noted)).toMatchObject({
    ...{ stands: 0, outings: 4, firstFarther: 2, secondFarther: 1, noted: { first: 2, second: 1 } },
    p: 1,
  });
  // On Monday they were heard at one stand, and both held there: that is what counts.
  const monday: HeardWalk[] = [{ outing: 'mon', stands }];
  expect(pairAtStands(monday, monday, noted)).toMatchObject({
    ...{ stands: 1, outings: 4, firstFarther: 1, secondFarther: 1 },
  });
});

describe('a ratio that is the same on every walk', () => {
  test('A in (2, 3] and B in (3, 3.3]: 1.00 to 1.65; walks intersect, or contradict each other', () => {
    const one = { a: { heldM: 2, failedM: 3 }, b: { heldM: 3, failedM: 3.3 } };
    const ends = constantRatioBounds([one]);
    expect(ends?.low).toBeCloseTo(1, 12);
    expect(ends?.high).toBeCloseTo(1.65, 12);
    expect(
      constantRatioBounds([one, { a: { heldM: 1, failedM: 1.2 }, b: { heldM: 1, failedM: 1.3 } }])?.high,
    ).toBeCloseTo(1.3, 12);
    expect(
      constantRatioBounds([one, { a: { heldM: 3, failedM: 4 }, b: { heldM: 1, failedM: 2 } }]),
    ).toBeUndefined();
  });

  test('+8 % with A in (3, 3.3] and B lost by 3.3 hangs on A ending before 3.056', () => {
    const found = hangsOn(1.08, { heldM: 3, failedM: 3.3 }, { heldM: 3, failedM: 3.3 });
    expect(found?.endsBeforeM).toBeCloseTo(3.0556, 4);
    expect(found?.pointsM.map((m) => m.toFixed(2))).toEqual(['3.06', '3.12', '3.18']);
    expect(hangsOn(1.08, { heldM: 3.2, failedM: 3.3 }, { heldM: 3, failedM: 3.3 })).toBeUndefined();
  });
});
