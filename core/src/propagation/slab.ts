import type { SlabMaterial } from '../geometry/material.ts';
import { wavelengthM } from './pathLoss.ts';
import * as phrases from './phrases.ts';

/**
 * Relative permittivity a·f^b and conductivity c·f^d S/m, f in GHz: ITU-R P.2040 (edition 2 or later, from
 * memory).
 */
export const SLAB_MATERIALS = {
  concrete: { a: 5.24, b: 0, c: 0.0462, d: 0.7822 },
  brick: { a: 3.91, b: 0, c: 0.0238, d: 0.16 },
  plasterboard: { a: 2.73, b: 0, c: 0.0085, d: 0.9395 },
  glass: { a: 6.31, b: 0, c: 0.0036, d: 1.3394 },
  wood: { a: 1.99, b: 0, c: 0.0047, d: 1.0718 },
} as const satisfies Readonly<Record<SlabMaterial, object>>;

/** The table of materials starts here. */
export const SLAB_LEAST_MHZ = 1000;

type Complex = readonly [re: number, im: number];
const multiply = ([a, b]: Complex, [c, d]: Complex): Complex => [a * c - b * d, a * d + b * c];
const divide = (x: Complex, [c, d]: Complex): Complex =>
  multiply(x, [c / (c * c + d * d), -d / (c * c + d * d)]);
const root = ([re, im]: Complex): Complex => {
  const modulus = Math.hypot(re, im);
  return [Math.sqrt((modulus + re) / 2), Math.sign(im) * Math.sqrt((modulus - re) / 2)];
};

/** Transmitted share of power through one slab at normal incidence, with all reflections inside it. */
function transmitted(frequencyMHz: number, material: SlabMaterial, thicknessM: number): number {
  const { a, b, c, d } = SLAB_MATERIALS[material];
  const f = frequencyMHz / 1000;
  // η = η′ − jη″; 17.98 = 1/(2π ε₀ · 10⁹ Hz).
  const index = root([a * f ** b, (-17.98 * c * f ** d) / f]);
  const reflection = divide([1 - index[0], -index[1]], [1 + index[0], index[1]]);
  const phase = (2 * Math.PI * thicknessM) / wavelengthM(frequencyMHz);
  const decay = Math.exp(phase * index[1]);
  const through: Complex = [decay * Math.cos(phase * index[0]), -decay * Math.sin(phase * index[0])];
  const r2 = multiply(reflection, reflection);
  const echo = multiply(r2, multiply(through, through));
  const t = divide(multiply([1 - r2[0], -r2[1]], through), [1 - echo[0], -echo[1]]);
  return t[0] ** 2 + t[1] ** 2;
}

function checkThickness(thicknessM: number): void {
  if (!(thicknessM > 0)) throw new RangeError(phrases.invalidThicknessm(thicknessM));
}

/**
 * Loss of one slab of exactly this thickness, dB. Worked values: brick 100 mm at 2400 MHz 3.03 dB; concrete
 * 200 mm 14.57 dB.
 */
export function slabLossDb(frequencyMHz: number, material: SlabMaterial, thicknessM: number): number {
  checkThickness(thicknessM);
  return -10 * Math.log10(transmitted(frequencyMHz, material, thicknessM));
}

const SAMPLES = 21;

/** Walls worked out lately: along a route the same few are asked for at every step. */
const known = new Map<string, number>();
const MOST_KNOWN = 256;

/**
 * The same for a wall whose thickness is not known to millimetres: mean transmitted power over ±10 % of it,
 * since resonance in the slab is real but cannot be placed.
 */
export function wallLossDb(frequencyMHz: number, material: SlabMaterial, thicknessM: number): number {
  checkThickness(thicknessM);
  const key = `${frequencyMHz}/${material}/${thicknessM}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  const shares = Array.from({ length: SAMPLES }, (_, i) =>
    transmitted(frequencyMHz, material, thicknessM * (0.9 + (0.2 * i) / (SAMPLES - 1))),
  );
  const lossDb = -10 * Math.log10(shares.reduce((sum, s) => sum + s, 0) / SAMPLES);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, lossDb);
  return lossDb;
}
