/** Illinois variant of false position on a bracketed root. */
export function falsePosition(
  f: (x: number) => number,
  a: number,
  fa: number,
  b: number,
  fb: number,
): number {
  for (let i = 0; i < 100 && Math.abs(b - a) > 1e-11; i++) {
    const c = (a * fb - b * fa) / (fb - fa);
    const fc = f(c);
    if (Math.abs(fc) < 1e-11) return c;
    if (fc > 0 === fb > 0) fa /= 2;
    else [a, fa] = [b, fb];
    [b, fb] = [c, fc];
  }
  return b;
}
