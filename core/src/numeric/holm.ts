/** Holm's step-down correction of p-values (S. Holm, Scand. J. Statist. 6 (1979)), in the order given. */
export function holm(ps: readonly number[]): number[] {
  for (const p of ps) if (!(p >= 0 && p <= 1)) throw new RangeError(`invalid p: ${p}`);
  const order = ps.map((_, i) => i).sort((a, b) => (ps[a] as number) - (ps[b] as number));
  const adjusted = new Array<number>(ps.length);
  order.reduce(
    (worst, index, rank) =>
      (adjusted[index] = Math.max(worst, Math.min(1, (ps.length - rank) * (ps[index] as number)))),
    0,
  );
  return adjusted;
}
