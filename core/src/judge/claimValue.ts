import { parseLength } from '../quantity/length.ts';
import * as phrases from './phrases.ts';

/** What a claim can be about. */
export const CLAIM_FORMS = ['distance', 'ratio', 'throughput', 'speed ratio', 'latency'] as const;
export type ClaimForm = (typeof CLAIM_FORMS)[number];

/** A claim's figure in the unit of its form: m, ratio, Mbit/s, s; with half a unit of its last digit. */
export interface ClaimValue {
  readonly value: number;
  readonly roundingHalf: number;
}

const FIGURE = /(\d[\d,]*(?:\.\d+)?|\.\d+)/;

/**
 * Half a unit of the last digit that is not a trailing zero: "500 ft" may be 450 to 550, "328 ft" 327.5 to
 * 328.5.
 */
function halfUnit(text: string): number {
  const digits = (FIGURE.exec(text)?.[0] ?? '').replaceAll(',', '');
  const [whole = '', decimals] = digits.split('.');
  if (decimals !== undefined) return 0.5 * 10 ** -decimals.length;
  return 0.5 * 10 ** (whole.length - whole.replace(/0+$/, '').length);
}

function scaled(text: string, pattern: RegExp, factors: Readonly<Record<string, number>>): ClaimValue {
  const match = pattern.exec(text.trim());
  const factor = factors[(match?.[2] ?? '').toLowerCase()];
  if (!match?.[1] || factor === undefined) throw new RangeError(phrases.invalidClaim(JSON.stringify(text)));
  return { value: Number(match[1].replaceAll(',', '')) * factor, roundingHalf: halfUnit(match[1]) * factor };
}

/** Free space: what a difference of levels is taken at, where a claim in dB names no other exponent. */
const OPEN_EXPONENT = 2;

/** "2×", "2 x", "8 % farther", "+8 %"; "3 dB", "3 dB at n = 3.5": that much in level, as distance. */
function ratio(text: string): ClaimValue {
  const times = /^([\d.]+)\s*(?:×|x|times)$/i.exec(text.trim());
  if (times?.[1]) return { value: Number(times[1]), roundingHalf: halfUnit(times[1]) };
  const db = /^([+\-−]?)\s*([\d.]+)\s*dB(?:\s*(?:at|,)?\s*n\s*=\s*([\d.]+))?$/i.exec(text.trim());
  if (db?.[2]) {
    const exponent = db[3] === undefined ? OPEN_EXPONENT : Number(db[3]);
    const sign = db[1] === '-' || db[1] === '−' ? -1 : 1;
    const value = 10 ** ((sign * Number(db[2])) / (10 * exponent));
    return { value, roundingHalf: value * (10 ** (halfUnit(db[2]) / (10 * exponent)) - 1) };
  }
  const percent = /^([+\-−]?)\s*([\d.]+)\s*%\s*(farther|further|more|longer|less|shorter)?$/i.exec(
    text.trim(),
  );
  if (!percent?.[2]) throw new RangeError(phrases.invalidClaim(JSON.stringify(text)));
  const down = percent[1] === '-' || percent[1] === '−' || /less|shorter/i.test(percent[3] ?? '');
  return {
    value: 1 + (down ? -1 : 1) * (Number(percent[2]) / 100),
    roundingHalf: halfUnit(percent[2]) / 100,
  };
}

/** Reads a claim as it was written. @throws RangeError with the text. */
export function parseClaim(form: ClaimForm, text: string): ClaimValue {
  switch (form) {
    case 'distance': {
      const { valueM, value } = parseLength(text);
      return { value: valueM, roundingHalf: value === 0 ? 0 : halfUnit(text) * (valueM / value) };
    }
    case 'ratio':
    case 'speed ratio':
      return ratio(text);
    case 'throughput':
      return scaled(text, /^([\d,.]+)\s*(kbit\/s|mbit\/s|gbit\/s|mbps|kbps|gbps)$/i, {
        'kbit/s': 0.001,
        'mbit/s': 1,
        'gbit/s': 1000,
        kbps: 0.001,
        mbps: 1,
        gbps: 1000,
      });
    case 'latency':
      return scaled(text, /^([\d,.]+)\s*(ms|s)$/i, { ms: 0.001, s: 1 });
  }
}

export interface StatedClaim {
  readonly form: ClaimForm;
  readonly entered: string;
  readonly condition: string;
}

/**
 * Pairs of claims of one form and condition whose figures cannot be one: two figures in different units
 * that differ by more than their rounding.
 */
export function disagreements<T extends StatedClaim>(claims: readonly T[]): [T, T][] {
  return claims.flatMap((a, i) =>
    claims.slice(i + 1).flatMap((b): [T, T][] => {
      if (a.form !== b.form || a.condition !== b.condition) return [];
      const [x, y] = [parseClaim(a.form, a.entered), parseClaim(b.form, b.entered)];
      return Math.abs(x.value - y.value) > (x.roundingHalf + y.roundingHalf) * (1 + 1e-9) ? [[a, b]] : [];
    }),
  );
}
