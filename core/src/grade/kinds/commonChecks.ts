import type { RigCheck } from './kind.ts';

/** Checks that every kind shares, in the order in which one does them. Common practice. */
export const COMMON_CHECKS: readonly RigCheck[] = [
  { id: 'paired', text: 'Paired or linked, and to each other' },
  { id: 'channel', text: 'Channel free, and the one stated' },
  { id: 'batteries', text: 'Batteries fresh at both ends' },
  { id: 'heights', text: 'Both ends at least 1.5 m up, as stated' },
  { id: 'antennas', text: 'Antennas as stated: where they stand and how they point' },
  { id: 'others-off', text: 'Other transmitters off, the phones in the pockets too' },
  { id: 'mirrored', text: 'Settings mirrored between the products' },
  { id: 'baseline', text: 'Baseline read at the zero point' },
];
