import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { ArtefactKind, Detected } from './detected.ts';
import { faultStretches } from './faultStretches.ts';

const fault = (kind: ArtefactKind, fromS: number, toS: number): Detected<ArtefactKind> => ({
  ...{ kind, fromS, toS, open: false, certainty: 0.5, figure: '' },
});

test('single faults are first artefacts; many close together are a stretch of less', () => {
  expect(faultStretches([])).toEqual([]);
  expect(
    faultStretches([
      fault('click', 3, 3),
      fault('blocks', 20, 21),
      fault('click', 22, 22),
      fault('click', 40, 40),
      fault('click', 41.5, 41.5),
      fault('torn frame', 43, 43.04),
    ]),
  ).toMatchObject([
    { fromS: 3, toS: 3.04, proposed: 4, spoiltShare: 1, faults: [{ kind: 'click', times: 1 }] },
    { fromS: 20, toS: 22.04, proposed: 3, spoiltShare: expect.closeTo(1.04 / 2.04, 6) },
    { fromS: 40, toS: 43.04, proposed: 4, faults: [{ kind: 'click', times: 2 }, { kind: 'torn frame' }] },
  ]);
});

test('every fault is in one stretch, in whatever order they come; no stretch touches the next', () => {
  const anyFault = fc
    .tuple(
      fc.constantFrom('click', 'blocks', 'stuck'),
      fc.double({ min: 0, max: 99, noNaN: true }),
      fc.nat(3),
    )
    .map(([kind, fromS, lastS]) => fault(kind as ArtefactKind, fromS, fromS + lastS));
  fc.assert(
    fc.property(fc.array(anyFault, { maxLength: 30 }), (faults) => {
      const stretches = faultStretches(faults);
      const all = stretches.flatMap((s) => s.faults).reduce((n, f) => n + f.times, 0);
      expect(all).toBe(faults.length);
      for (const f of faults)
        expect(stretches.filter((s) => f.fromS >= s.fromS && f.toS <= s.toS)).toHaveLength(1);
      stretches.slice(1).forEach((s, i) => expect(s.fromS - (stretches[i]?.toS ?? 0)).toBeGreaterThan(2));
      for (const s of stretches) expect(s.spoiltShare > 0 && s.spoiltShare <= 1 + 1e-9).toBe(true);
      expect(faultStretches([...faults].reverse()).map((s) => s.fromS)).toEqual(
        stretches.map((s) => s.fromS),
      );
    }),
    { numRuns: 60 },
  );
});
