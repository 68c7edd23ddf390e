import {
  type Cap,
  type Direction,
  type NetworkedRow,
  type ThroughputRow,
  capOf,
  median,
  separationAtM,
  sharedCap,
  splitByNetwork,
  throughputCurve,
} from '@urvek/core';
import { readingTrouble } from '@urvek/contract';
import { byProduct, clipped } from './places.ts';
import type { PathRanges } from './ranges.ts';

export interface ThroughputFinding {
  readonly product: string;
  readonly direction: Direction;
  readonly rows: readonly NetworkedRow[];
  readonly curve: readonly ThroughputRow[];
  readonly cap: Cap | undefined;
  /** Each walk's median at its nearest stand, where that is the nearest of all. */
  readonly nearVisits: readonly { readonly distanceM: number; readonly mbps: number }[];
  /**
   * Band, channel or access point changed in mid-walk so often, less one: each part has its own curve, the
   * first is shown.
   */
  readonly networks: number;
}

export interface ThroughputFindings {
  readonly curves: readonly ThroughputFinding[];
  /** Two products that read the same at the near point measure the cap. */
  readonly shared: Cap | undefined;
}

export function throughputFindings(range: PathRanges): ThroughputFindings {
  const curves = byProduct(range.findings).flatMap(([product, findings]) =>
    (['fixed-to-mobile', 'mobile-to-fixed'] as const).flatMap((direction): ThroughputFinding[] => {
      const walks = findings.map((f) =>
        f.trace.measured.flatMap((m): NetworkedRow[] =>
          m.quantity === 'throughput' &&
          m.direction === direction &&
          m.position &&
          readingTrouble(m.quantity, m.value) === undefined
            ? [
                {
                  distanceM: separationAtM(f.path, clipped(f, m.position.travelledM)),
                  mbps: m.value ?? 0,
                  network: m.network,
                },
              ]
            : [],
        ),
      );
      const parts = walks.map((rows) => splitByNetwork(rows));
      const rows = parts.flatMap((p) => p[0] ?? []);
      if (rows.length === 0) return [];
      const curve = throughputCurve(rows);
      return [
        {
          product,
          direction,
          rows,
          curve,
          cap: capOf(rows, behindMbps(range.path, direction)),
          nearVisits: nearVisits(parts.map((p) => p[0] ?? [])),
          networks: Math.max(...parts.map((p) => p.length)),
        },
      ];
    }),
  );
  return {
    curves,
    shared: sharedCap(curves.filter((c) => c.direction === curves[0]?.direction).map((c) => c.rows)),
  };
}

/** What was measured by cable behind the fixed end, that way; absent: not measured. */
export const behindMbps = (path: PathRanges['path'], direction: Direction): number | undefined =>
  direction === 'fixed-to-mobile' ? path.behindDownMbps : path.behindUpMbps;

/** Stands within this of the nearest are like it. */
const LIKE = 1.1;

function nearVisits(walks: readonly (readonly NetworkedRow[])[]): { distanceM: number; mbps: number }[] {
  const nearest = walks.flatMap((rows) => {
    const distanceM = Math.min(...rows.map((r) => r.distanceM));
    const here = rows.filter((r) => r.distanceM === distanceM).map((r) => r.mbps);
    return here.length > 0 ? [{ distanceM, mbps: median(here) }] : [];
  });
  const least = Math.min(...nearest.map((v) => v.distanceM));
  return nearest.filter((v) => v.distanceM <= LIKE * least || v.distanceM - least < 1);
}
