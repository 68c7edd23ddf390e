import { describe, expect, test } from '@jest/globals';
import type { Setup } from '@urvek/contract';
import fc from 'fast-check';
import {
  changeText,
  fieldWords,
  mergeSetups,
  setupChanges,
  valueAt,
  valueText,
  withChange,
} from './setupChanges.ts';

/** As much of a set-up as these functions look at: they know lists, keys and names, and no field. */
const leaf = fc.oneof(fc.integer(), fc.string({ minLength: 1, maxLength: 5 }), fc.boolean());
const part = fc.record({ powerDbm: leaf, note: leaf }, { requiredKeys: [] });
const product = fc.record({ id: fc.constantFrom('a', 'b', 'c'), name: fc.string({ maxLength: 4 }), part });
const setup = fc.record({
  products: fc.uniqueArray(product, { selector: (p) => p.id, maxLength: 3 }),
  plan: fc.record({ walks: fc.nat(9), order: fc.array(leaf, { maxLength: 3 }) }),
}) as unknown as fc.Arbitrary<Setup>;
const sameKeys = (s: Setup): unknown =>
  JSON.parse(JSON.stringify({ ...s, products: [...s.products].sort((a, b) => (a.id < b.id ? -1 : 1)) }));

describe('what differs between two set-ups', () => {
  test('put onto the one it gives the other, and nothing differs between equal ones', () => {
    fc.assert(
      fc.property(setup, setup, (a, b) => {
        const back = setupChanges(a, b).reduce((s, c) => withChange(s, c.at, c.after), a);
        expect(sameKeys(back)).toEqual(sameKeys(b));
        expect(setupChanges(a, structuredClone(a))).toEqual([]);
        for (const c of setupChanges(a, b))
          expect([valueAt(a, c.at), valueAt(b, c.at)]).toEqual([c.before, c.after]);
      }),
    );
  });

  test('a field that a form shows and nobody filled in is no difference', () => {
    const a = { products: [], plan: {} } as unknown as Setup;
    const b = { products: [], plan: { note: '', walks: NaN, more: undefined } } as unknown as Setup;
    expect(setupChanges(a, b)).toEqual([]);
    expect(mergeSetups(a, a, b)).toEqual({ setup: a, clashes: [] });
  });

  test('is told by name, field and unit', () => {
    const a = {
      products: [{ id: 'x', name: 'Ossimere Clip', sensitivityDbm: -80 }],
      plan: {},
    } as unknown as Setup;
    const b = {
      products: [{ id: 'x', name: 'Ossimere Clip', sensitivityDbm: -82 }],
      plan: {},
    } as unknown as Setup;
    expect(setupChanges(a, b)).toEqual([
      {
        at: ['products', 'x', 'sensitivityDbm'],
        what: 'Ossimere Clip, sensitivity, dBm',
        ...{ before: -80, after: -82 },
      },
    ]);
    expect(setupChanges(a, b).map(changeText)).toEqual(['Ossimere Clip, sensitivity, dBm: -80 → -82']);
    expect([undefined, [1], [1, 2], { name: 'Gate' }, {}, null, 0].map(valueText)).toEqual([
      ...['not stated', '1 entry', '2 entries', 'Gate', 'stated', 'null', '0'],
    ]);
    expect(['walksEach', 'kindId', 'lengthM', 'order'].map(fieldWords)).toEqual([
      ...['walks of each product', 'kind', 'length, m', 'order'],
    ]);
  });
});

describe('two people changing one set-up', () => {
  test('what only one changed is in it, what both changed alike too, the rest is a clash with theirs in it', () => {
    fc.assert(
      fc.property(setup, setup, setup, (before, theirs, ours) => {
        const { setup: merged, clashes } = mergeSetups(before, theirs, ours);
        if (clashes.length === 0)
          for (const c of setupChanges(before, ours)) expect(valueAt(merged, c.at)).toEqual(c.after);
        for (const c of clashes) {
          expect(valueAt(merged, c.at)).toEqual(c.theirs);
          expect(valueAt(before, c.at)).toEqual(c.before);
          expect(c.ours).not.toEqual(c.theirs);
        }
        // Of what they changed nothing is lost.
        for (const c of setupChanges(before, theirs)) expect(valueAt(merged, c.at)).toEqual(c.after);
      }),
    );
  });

  test('with nothing changed on one side it is the other’s', () => {
    fc.assert(
      fc.property(setup, setup, (before, other) => {
        expect(sameKeys(mergeSetups(before, other, before).setup)).toEqual(sameKeys(other));
        expect(sameKeys(mergeSetups(before, before, other).setup)).toEqual(sameKeys(other));
        expect(mergeSetups(before, other, other).clashes).toEqual([]);
      }),
    );
  });
});
