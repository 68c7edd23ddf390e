import type { Direction, Quantity } from '@urvek/core';

/** A field of the form of readings. */
export interface ReadingColumn {
  readonly label: string;
  readonly quantity: Quantity;
  /** Absent: that of the kind. */
  readonly direction?: Direction;
}

/** What one instrument shows at one place: only what is filled in is logged. */
export const COLUMNS: readonly ReadingColumn[] = [
  { label: 'Down', quantity: 'throughput', direction: 'fixed-to-mobile' },
  { label: 'Up', quantity: 'throughput', direction: 'mobile-to-fixed' },
  { label: 'Round trip', quantity: 'round trip' },
  { label: 'Its variation', quantity: 'round-trip variation' },
  { label: 'Loss', quantity: 'loss' },
  { label: 'Level', quantity: 'level' },
  { label: 'Level against the last', quantity: 'level change' },
  { label: 'Bars', quantity: 'bars' },
];
/** So many of them are read often; the others fold away. */
export const OFTEN = 6;
