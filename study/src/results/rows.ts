import type { Setup, WalkHeader } from '@urvek/contract';
import { kindOf, pathLengthM, type Direction, type EndReason, type LinkState, type Trace } from '@urvek/core';
import type { DerivedEntry, Finding } from './findings.ts';
import * as phrases from './phrases.ts';

/** How the link was on the way out, from and to so many travelled metres. */
export interface StateBand {
  readonly fromM: number;
  readonly toM: number;
  readonly state: LinkState;
}

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
  /** How far the path goes. */
  readonly lengthM: number;
  /** Another device's: nothing is known of it but that it was made. */
  readonly withheld?: true;
  /** Something of the rig check was done before it. */
  readonly checked: boolean;
}

export const rowOf = ({
  walkId,
  label,
  header,
  product,
  path,
  trace,
  outing,
  leftOut,
}: Finding): WalkRow => ({
  outing,
  walkId,
  label,
  header,
  product,
  path: path.name,
  lengthM: pathLengthM(path),
  direction: trace.direction,
  endReason: trace.endReason,
  leftOut,
  simulated: trace.begin.body.simulatedSeed !== undefined,
  checked: trace.begin.body.checks?.some((c) => c.result !== 'not done') ?? false,
});

/** The way out in bands of state: stretches of one state that touch are one band; empty where nothing is known. */
export function bandsOf(trace: Trace): StateBand[] {
  const bands: { fromM: number; toM: number; state: LinkState }[] = [];
  for (const { returning, stated, from, to, state } of trace.stretches) {
    if (returning || !stated || !from || !to) continue;
    const [fromM, toM] = [from.travelledM, to.travelledM];
    const last = bands.at(-1);
    if (last?.state === state && last.toM === fromM) last.toM = toM;
    else bands.push({ fromM, toM, state });
  }
  return bands;
}

/** Walks that other devices made, for one that may not read them: they fill their places of the plan. */
export const withheldRows = ({ products, paths }: Setup, entries: readonly DerivedEntry[]): WalkRow[] =>
  entries.flatMap(({ header, withheld }) => {
    const product = products.find((p) => p.id === header.productId);
    const path = paths.find((p) => p.id === header.pathId);
    if (!withheld || !product || !path) return [];
    return [
      {
        outing: undefined,
        walkId: header.id,
        label: phrases.ofAnotherDevice,
        header,
        product: product.name,
        path: path.name,
        lengthM: pathLengthM(path),
        direction: kindOf(product.kindId).direction,
        endReason: 'not stated',
        leftOut: undefined,
        simulated: false,
        checked: false,
        withheld: true as const,
      },
    ];
  });
