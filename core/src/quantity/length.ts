/** Metres in one unit, exact (international yard and pound agreement, 1959). */
export const METRES_PER = { m: 1, km: 1000, ft: 0.3048, yd: 0.9144, mi: 1609.344 } as const;

export type LengthUnit = keyof typeof METRES_PER;

export const LENGTH_UNITS = Object.keys(METRES_PER) as LengthUnit[];

const SPELLINGS: Readonly<Record<string, LengthUnit>> = {
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  km: 'km',
  kilometre: 'km',
  kilometres: 'km',
  kilometer: 'km',
  kilometers: 'km',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
  '′': 'ft',
  yd: 'yd',
  yds: 'yd',
  yard: 'yd',
  yards: 'yd',
  mi: 'mi',
  mile: 'mi',
  miles: 'mi',
};

export interface EnteredLength {
  readonly valueM: number;
  readonly value: number;
  readonly unit: LengthUnit;
}

/**
 * Reads a length as people write it: "0.40 km", "1,476 ft", "90 yd", "100" (in the default unit). A comma
 * counts as a thousands separator only before three digits; anything else is refused rather than guessed.
 * @throws RangeError with the text when it is not one length.
 */
export function parseLength(text: string, defaultUnit: LengthUnit = 'm'): EnteredLength {
  const match = /^\s*(\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:\.\d*)?|\.\d+)\s*([^\d\s.,]*)\s*$/u.exec(text);
  const unit = match?.[2] ? SPELLINGS[match[2].toLowerCase()] : defaultUnit;
  if (!match?.[1] || !unit) throw new RangeError(`invalid length: ${JSON.stringify(text)}`);
  const value = Number(match[1].replaceAll(',', ''));
  return { value, unit, valueM: value * METRES_PER[unit] };
}

export const metresTo = (valueM: number, unit: LengthUnit): number => valueM / METRES_PER[unit];

/**
 * "152 m", "499 ft", "0.45 km", "0.0012 m": three figures or whole units, whichever is finer; always from the
 * stored metres.
 */
export function formatLength(valueM: number, unit: LengthUnit = 'm'): string {
  if (!Number.isFinite(valueM)) throw new RangeError(`invalid valueM: ${valueM}`);
  const value = metresTo(valueM, unit);
  const size = Math.abs(value);
  // Two figures of what is smaller than a tenth: 0.001 m is not nothing.
  const decimals =
    size >= 100 ? 0 : size >= 10 ? 1 : size >= 0.1 || size === 0 ? 2 : 1 - Math.floor(Math.log10(size));
  return `${value.toFixed(decimals)} ${unit}`;
}

/** Two measures side by side, both from the stored metres: "207 m (681 ft)", "4.92 km (3.06 mi)". */
export const twoMeasures = (valueM: number): string =>
  Math.abs(valueM) >= 1000
    ? `${formatLength(valueM, 'km')} (${formatLength(valueM, 'mi')})`
    : `${formatLength(valueM)} (${formatLength(valueM, 'ft')})`;
