import type { WalkHeader } from '@urvek/contract';
import type { Direction, EndReason } from '@urvek/core';
import type { Finding } from './findings.ts';

/** A walk in a line. */
export interface WalkRow {
  readonly walkId: string;
  readonly label: string;
  readonly header: WalkHeader;
  readonly product: string;
  readonly path: string;
  readonly direction: Direction;
  /** Absent while it goes on. */
  readonly endReason: EndReason | undefined;
  readonly simulated: boolean;
  /** Absent: not stated. */
  readonly outing: string | undefined;
  /** Why it is in no result; absent where it counts. */
  readonly leftOut: string | undefined;
  /** Something of the rig check was done before it. */
  readonly checked: boolean;
}

export const rowOf = ({ walkId, label, header, product, path, trace, outing }: Finding): WalkRow => ({
  outing,
  walkId,
  label,
  header,
  product,
  path: path.name,
  direction: trace.direction,
  endReason: trace.endReason,
  leftOut: trace.leftOut,
  simulated: trace.begin.body.simulatedSeed !== undefined,
  checked: trace.begin.body.checks?.some((c) => c.result !== 'not done') ?? false,
});
