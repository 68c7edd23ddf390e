import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clearLabels } from './labels.ts';

test('names on a plan never cross, never leave it, and one without room is left out', () => {
  const label = fc.record({
    text: fc.string({ minLength: 1, maxLength: 20 }),
    x: fc.double({ min: -50, max: 950, noNaN: true }),
    y: fc.double({ min: -50, max: 390, noNaN: true }),
    width: fc.double({ min: 0, max: 80, noNaN: true }),
    height: fc.double({ min: 0, max: 80, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(label, { maxLength: 25 }), (labels) => {
      const boxes = clearLabels(labels, [], { width: 900, height: 340 }).flatMap((shape) => {
        if (shape?.kind !== 'text') return [];
        const wide = 7 * shape.text.length;
        const from = shape.anchor === 'end' ? shape.x - wide : shape.x;
        return [{ from, to: from + wide, top: shape.y - 12, foot: shape.y + 3 }];
      });
      boxes.forEach((a, i) => {
        expect(a.from).toBeGreaterThanOrEqual(-1e-9);
        expect(a.to).toBeLessThanOrEqual(900 + 1e-9);
        expect(a.top).toBeGreaterThanOrEqual(-1e-9);
        expect(a.foot).toBeLessThanOrEqual(340 + 1e-9);
        for (const b of boxes.slice(i + 1))
          expect(a.from < b.to && b.from < a.to && a.top < b.foot && b.top < a.foot).toBe(false);
      });
    }),
  );
  const same = { text: 'Wall 1', x: 300, y: 100, width: 40, height: 20 };
  expect(clearLabels(Array(6).fill(same), [], { width: 900, height: 340 }).map(Boolean)).toEqual([
    ...[true, true, true, true],
    ...[false, false],
  ]);
});
