import type { Direction, Quantity } from '@urvek/core';
import * as phrases from './phrases.ts';

/** A field of the form of readings. */
export interface ReadingColumn {
  readonly label: string;
  readonly quantity: Quantity;
  /** Absent: that of the kind. */
  readonly direction?: Direction;
}

/** What one instrument shows at one place: only what is filled in is logged. */
export const COLUMNS: readonly ReadingColumn[] = [
  { label: phrases.down, quantity: 'throughput', direction: 'fixed-to-mobile' },
  { label: phrases.up, quantity: 'throughput', direction: 'mobile-to-fixed' },
  { label: phrases.roundTrip, quantity: 'round trip' },
  { label: phrases.itsVariation, quantity: 'round-trip variation' },
  { label: phrases.loss, quantity: 'loss' },
  { label: phrases.level, quantity: 'level' },
  { label: phrases.levelAgainstTheLast, quantity: 'level change' },
  { label: phrases.bars, quantity: 'bars' },
];
/** So many of them are read often; the others fold away. */
export const OFTEN = 6;
