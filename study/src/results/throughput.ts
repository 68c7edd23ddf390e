import {
  type Cap,
  type Direction,
  type NetworkedRow,
  type ThroughputRow,
  capOf,
  separationAtM,
  sharedCap,
  splitByNetwork,
  throughputCurve,
} from '@urvek/core';
import { byProduct, clipped } from './places.ts';
import type { PathRanges } from './ranges.ts';

export interface ThroughputFinding {
  readonly product: string;
  readonly direction: Direction;
  readonly rows: readonly NetworkedRow[];
  readonly curve: readonly ThroughputRow[];
  readonly cap: Cap | undefined;
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
          m.quantity === 'throughput' && m.direction === direction && m.position
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
          cap: capOf(rows),
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
