import { QUANTITY_UNIT, type EventBodies, type Quantity } from './event.ts';
import * as phrases from './phrases.ts';

/** What an instrument can show: beyond it is a slip, or a level under the wrong quantity. */
const CAN_BE: Readonly<Record<Quantity, readonly [least: number, most: number]>> = {
  throughput: [0, 1e6],
  'round trip': [0, 1e6],
  'round-trip variation': [0, 1e6],
  jitter: [0, 1e6],
  loss: [0, 100],
  level: [-250, 100],
  'level change': [-200, 200],
  bars: [0, 10],
};

/** Why an instrument cannot have shown that; undefined where it can. */
export function readingTrouble(quantity: Quantity, value: number | undefined): string | undefined {
  const [least, most] = CAN_BE[quantity];
  return value === undefined || (value >= least && value <= most)
    ? undefined
    : phrases.ofItLiesBetweenAnd(quantity, value, least, most, QUANTITY_UNIT[quantity]);
}

/** Why a reading cannot be as a whole: its figure, what it moved between, or a bound without a figure. */
export function measuredTrouble(body: EventBodies['measured']): string | undefined {
  const { quantity, value, least, most, bound, transfer } = body;
  const ends = [least, most].filter((v) => v !== undefined);
  const cannot = [value, ...ends].map((v) => readingTrouble(quantity, v)).find((t) => t !== undefined);
  if (cannot !== undefined) return cannot;
  if (value === undefined)
    return ends.length > 0 || bound !== undefined ? phrases.nothingWasReceivedAndAFigure : undefined;
  if ((least !== undefined && least > value) || (most !== undefined && most < value))
    return phrases.ofItDoesNotLieBetween(quantity, value, least ?? 'nothing', most ?? 'nothing');
  return transfer !== undefined && quantity !== 'throughput'
    ? phrases.aTransferGivesAThroughputNot(quantity)
    : undefined;
}
