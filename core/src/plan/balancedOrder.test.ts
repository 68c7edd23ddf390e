import { expect, test } from '@jest/globals';
import { balancedAfterRounds, balancedOrder, williamsSquare } from './balancedOrder.ts';

test.each([2, 3, 4, 5, 6, 7, 8])(
  "Williams' design for %d products: every place and every neighbour equally often",
  (n) => {
    const square = williamsSquare(n);
    const places = Array.from({ length: n }, () => new Map<number, number>());
    const neighbours = new Map<string, number>();
    for (const row of square) {
      expect([...row].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i));
      row.forEach((product, place) => {
        places[place]?.set(product, (places[place]?.get(product) ?? 0) + 1);
        if (place > 0)
          neighbours.set(
            `${row[place - 1]},${product}`,
            (neighbours.get(`${row[place - 1]},${product}`) ?? 0) + 1,
          );
      });
    }
    expect(new Set(places.flatMap((p) => [...p.values()]))).toEqual(new Set([square.length / n]));
    expect(neighbours.size).toBe(n * (n - 1));
    expect(new Set(neighbours.values()).size).toBe(1);
  },
);

test('the order of a plan: each product once a round, neither always first', () => {
  const order = balancedOrder(['A', 'B'], 4).map((s) => `${s.round}${s.item}`);
  expect(order).toEqual(['1A', '1B', '2B', '2A', '3A', '3B', '4B', '4A']);
  expect(balancedAfterRounds(3)).toBe(6);
  expect(balancedOrder([], 3)).toEqual([]);
  expect(() => balancedOrder(['A'], -1)).toThrow('invalid rounds: -1');
});
