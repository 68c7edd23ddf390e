/**
 * Beside the code stands an edge that goes down once a second: black above it, white below, with the walk's clock.
 * What a frame shows of it tells when that frame was sent, between one code and the next.
 */

/** A QR code of version 2, and the white about it, in modules. */
export const CODE_MODULES = 25;
export const QUIET_MODULES = 4;
/** The edge's strip, in modules from the code's upper left corner. */
export const EDGE_STRIP = {
  left: CODE_MODULES + QUIET_MODULES + 1,
  width: 2,
  top: -QUIET_MODULES,
  height: CODE_MODULES + 2 * QUIET_MODULES,
} as const;
/** The edge goes from top to bottom in so long, s. */
export const EDGE_TURN_S = 1;

export interface Dot {
  readonly x: number;
  readonly y: number;
}
/** Corners of a code as it lies in a frame, px. */
export interface CodeCorners {
  readonly topLeft: Dot;
  readonly topRight: Dot;
  readonly bottomLeft: Dot;
}

/** Looked at so often along a module. */
const PER_MODULE = 10;
/** Black and white of the code lie at least so far apart, of 255. */
const LEAST_CONTRAST = 40;
/** Of the strip, the share that may be other than black above and white below. */
const MOST_MISFIT = 0.15;
/** So near to an end of the strip the edge is not told from none, modules. */
const NEAR_END = 0.5;

/**
 * How far down its strip the edge stands, 0 to 1.
 * @param grey of a dot of the frame, 0 to 255; undefined beyond it
 * @returns undefined where there is no such edge: near the ends of its way, hidden, or never drawn
 */
export function edgeIn(
  grey: (x: number, y: number) => number | undefined,
  { topLeft, topRight, bottomLeft }: CodeCorners,
): number | undefined {
  const at = (u: number, v: number): number | undefined =>
    grey(
      Math.round(topLeft.x + ((topRight.x - topLeft.x) * u + (bottomLeft.x - topLeft.x) * v) / CODE_MODULES),
      Math.round(topLeft.y + ((topRight.y - topLeft.y) * u + (bottomLeft.y - topLeft.y) * v) / CODE_MODULES),
    );
  const mean = (places: readonly (readonly [number, number])[]): number | undefined => {
    const seen = places.flatMap(([u, v]) => at(u, v) ?? []);
    return seen.length < places.length ? undefined : seen.reduce((a, b) => a + b, 0) / seen.length;
  };
  // The upper row of a finder is black, the quiet zone white.
  const black = mean([1, 2, 3, 4, 5, 6].map((u) => [u, 0.5]));
  const white = mean([2, 8, 14, 20].map((u) => [u, -2]));
  if (black === undefined || white === undefined || white - black < LEAST_CONTRAST) return undefined;
  const { left, width, top, height } = EDGE_STRIP;
  const count = height * PER_MODULE;
  const dark: number[] = [];
  for (let i = 0; i < count; i++) {
    const v = top + (i + 0.5) / PER_MODULE;
    const level = mean([0.25, 0.5, 0.75].map((share) => [left + share * width, v]));
    if (level === undefined) return undefined;
    dark.push(Math.max(0, Math.min(1, (white - level) / (white - black))));
  }
  const i = stepIn(dark);
  const near = NEAR_END * PER_MODULE;
  return i === undefined || i < near || i > count - near ? undefined : i / count;
}

/** Where ones become noughts, to a part of a sample; undefined where they do not, or otherwise as well. */
function stepIn(dark: readonly number[]): number | undefined {
  const total = dark.reduce((a, b) => a + b, 0);
  const n = dark.length;
  let [best, at, before] = [-1, 0, 0];
  for (let i = 0; i <= n; i++) {
    const right = before + (n - i - (total - before));
    if (right > best) [best, at] = [right, i];
    before += dark[i] ?? 0;
  }
  if (1 - best / n > MOST_MISFIT) return undefined;
  // Blurred by motion and codec: what is dark within a module either way, against the levels beyond.
  const [from, to] = [Math.max(0, at - PER_MODULE), Math.min(n, at + PER_MODULE)];
  const level = (a: number, b: number): number | undefined =>
    b > a ? dark.slice(a, b).reduce((x, y) => x + y, 0) / (b - a) : undefined;
  const high = level(Math.max(0, from - PER_MODULE), from) ?? 1;
  const low = level(to, Math.min(n, to + PER_MODULE)) ?? 0;
  if (high - low < 0.5) return undefined;
  return from + dark.slice(from, to).reduce((sum, d) => sum + (d - low) / (high - low), 0);
}

/**
 * When a frame was sent by its code and its edge, s of the walk's clock.
 * @param codeS when its code began to be shown, and for how long each is
 * @returns undefined where the two do not agree
 */
export function sentBy(edge: number, codeS: number, heldS: number): number | undefined {
  const middleS = codeS + heldS / 2;
  const turns = Math.round(middleS / EDGE_TURN_S - edge);
  const sentS = (turns + edge) * EDGE_TURN_S;
  // A frame that was drawn while the code changed may show the one with the other's edge.
  return Math.abs(sentS - middleS) <= heldS ? sentS : undefined;
}
