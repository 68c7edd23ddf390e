import * as phrases from './phrases.ts';

/** Bits a byte. */
const BITS = 8;

/** Sizes as people write them: MB counts in thousands, MiB in 1024 (IEC 80000-13). */
const BYTES_PER: Readonly<Record<string, number>> = {
  b: 1,
  kb: 1e3,
  mb: 1e6,
  gb: 1e9,
  kib: 1024,
  mib: 1024 ** 2,
  gib: 1024 ** 3,
};

/** Reads "100 MB", "95.4 MiB" as bytes. @throws RangeError with the text; a small b would be bits, and is not read */
export function bytesOf(text: string): number {
  const [, figure, unit = ''] = /^\s*(\d[\d,]*(?:\.\d+)?)\s*([KkMG]?i?B)\s*$/.exec(text) ?? [];
  const per = BYTES_PER[unit.toLowerCase()];
  if (figure === undefined || per === undefined)
    throw new RangeError(phrases.invalidSize(JSON.stringify(text)));
  return Number(figure.replaceAll(',', '')) * per;
}

/**
 * Rate of so many bytes in so many seconds, Mbit/s: 100 MB in 38 s is 21.05.
 * @throws RangeError for what cannot be a transfer
 */
export function rateOfTransfer(bytes: number, seconds: number): number {
  if (!(bytes >= 0 && Number.isFinite(bytes))) throw new RangeError(phrases.invalidBytes(bytes));
  if (!(seconds > 0 && Number.isFinite(seconds))) throw new RangeError(phrases.invalidSeconds(seconds));
  return (BITS * bytes) / seconds / 1e6;
}
