import { parseLength } from '@urvek/core';

const isEmpty = (v: unknown): boolean => v === '' || v === undefined || v === null;

/** An empty figure is unknown, not zero. */
export const asFigure = {
  setValueAs: (v: unknown): number | undefined => (isEmpty(v) ? undefined : Number(v)),
};

/**
 * A length as it is typed, with its unit or in metres: "3.6 mi", "-2 ft", "40". What is no length is no
 * number, and the schema says so. Empty is unknown.
 */
export function metresOf(text: unknown): number | undefined {
  if (isEmpty(text)) return undefined;
  if (typeof text === 'number') return text;
  const [, sign, rest] = /^\s*([-−+]?)(.*)$/s.exec(String(text)) ?? [];
  try {
    return (sign === '-' || sign === '−' ? -1 : 1) * parseLength(rest ?? '').valueM;
  } catch {
    return Number.NaN;
  }
}

export const asMetres = { setValueAs: metresOf };
