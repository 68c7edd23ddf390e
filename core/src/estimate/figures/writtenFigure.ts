import type { EventBodies, Quantity } from '../../log/event.ts';
import { bytesOf, rateOfTransfer } from './transfer.ts';

/** What a written figure says of a reading. */
export type WrittenFigure = Pick<EventBodies['measured'], 'value' | 'least' | 'most' | 'bound' | 'transfer'>;

const NUMBER = String.raw`(-?\d+(?:[.,]\d+)?)`;
const BETWEEN = String.raw`\s*(?:-|–|to|going up to|going down to|up to|down to)\s*`;
const RANGE = new RegExp(`^${NUMBER}${BETWEEN}${NUMBER}$`, 'i');
const BOUND = new RegExp(`^(over|above|at least|under|below|less than)\\s+${NUMBER}$`, 'i');
const AT_LEAST = /^(over|above|at least)$/i;
const TRANSFER = /^([\d.,]+\s*(?:[KkMG]i?)?B)\s+in\s+(\d+(?:\.\d+)?)\s*s$/;

const decimal = (text: string | undefined): number =>
  Number((text ?? '').replace(',', '.').replace('−', '-'));

/**
 * A figure as people write it, in the unit of its quantity: "42", "125 going up to 150" (a needle that moved), "over
 * 25", "100 MB in 38 s". @returns undefined for what is none of them
 */
export function writtenFigure(written: string, quantity: Quantity): WrittenFigure | undefined {
  const text = written.trim();
  const [, size, seconds] = TRANSFER.exec(text) ?? [];
  if (size !== undefined && quantity === 'throughput') {
    const transfer = { bytes: bytesOf(size), seconds: Number(seconds) };
    return transfer.seconds > 0
      ? { value: rateOfTransfer(transfer.bytes, transfer.seconds), transfer }
      : undefined;
  }
  const [, a, b] = RANGE.exec(text) ?? [];
  if (a !== undefined && b !== undefined) {
    const ends = [decimal(a), decimal(b)];
    const [least, most] = [Math.min(...ends), Math.max(...ends)];
    return { value: (least + most) / 2, least, most };
  }
  const [, side = '', end] = BOUND.exec(text) ?? [];
  if (end !== undefined) return { value: decimal(end), bound: AT_LEAST.test(side) ? 'at least' : 'below' };
  const value = decimal(text);
  return text !== '' && Number.isFinite(value) ? { value } : undefined;
}
