import {
  byIdentity,
  cameByText,
  capOf,
  fallOf,
  median,
  partsOf,
  separationAtM,
  sharedCap,
  throughputCurve,
  type CameBy,
  type Cap,
  type Direction,
  type Fall,
  type Quantity,
  type RateRange,
  type ThroughputRow,
  readingTrouble,
} from '@urvek/core';
import type { Finding, SetupPath } from './findings.ts';
import { byProduct, clipped } from './places.ts';
import type { PathRanges } from './ranges.ts';
import * as phrases from './phrases.ts';

type Measured = Finding['trace']['measured'][number];

/** One reading with what is known around it, at its separation. */
export interface PlacedReading extends CameBy {
  readonly finding: Finding;
  readonly measured: Measured;
  readonly distanceM: number;
  readonly instrument: string | undefined;
  readonly server: string | undefined;
  /** On the way back. */
  readonly returning: boolean;
}

/** A rate that was read, with what it came by; no connection is 0. */
export interface RateRow extends ThroughputRow, CameBy {
  readonly walkId: string;
  readonly atS: number;
  /** Taken on the move: from where to where, in separation. */
  readonly spanM: readonly [number, number] | undefined;
}

/** Readings of one band, channel, cell or access point, of all walks. */
export interface FigurePart {
  /** "5 GHz, hall"; undefined: nobody noted it. */
  readonly by: string | undefined;
  readonly rows: readonly RateRow[];
  readonly curve: readonly ThroughputRow[];
  readonly walks: number;
}

export interface HandOverFound {
  readonly walk: string;
  readonly from: string;
  readonly to: string;
  /** Between the last reading of one and the first of the other, separation. */
  readonly fromM: number;
  readonly toM: number;
  /** Who noticed it: what the readings came by, the walker's own entry, or both. */
  readonly noticedBy: 'readings' | 'walker' | 'readings and walker';
  /** Where the walker noticed it, separation; absent: did not, or at a place that is not known. */
  readonly noticedAtM: number | undefined;
}

export interface ThroughputFinding {
  readonly product: string;
  readonly direction: Direction;
  /** All that was read, in the order of the walks. */
  readonly rows: readonly RateRow[];
  /** That with the nearest reading first. */
  readonly parts: readonly FigurePart[];
  readonly handOvers: readonly HandOverFound[];
  /** Of the first part: what is near by. */
  readonly cap: Cap | undefined;
  readonly fall: Fall | undefined;
  /** Readings that tell one side only, and are in no curve. */
  readonly bounds: number;
  /** Nearest distance at which nothing came through, on any walk; absent: there always was a connection. */
  readonly lostAtM: number | undefined;
  readonly instruments: readonly string[];
  /** Some reading does not say with what it was taken. */
  readonly unnamed: boolean;
  readonly servers: readonly string[];
  /** Each walk's median at its nearest stand, where that is the nearest of all. */
  readonly nearVisits: readonly { readonly distanceM: number; readonly mbps: number }[];
}

/** An instrument that shows the impossible on one axis is doubted on all. */
export interface Doubt {
  readonly instrument: string | undefined;
  readonly readMbps: number;
  readonly planMbps: number;
  readonly direction: Direction;
}

export interface ThroughputFindings {
  readonly curves: readonly ThroughputFinding[];
  /** Products that read the same at the near point measure the cap, each way by itself. */
  readonly shared: Readonly<Partial<Record<Direction, Cap>>>;
  readonly doubts: readonly Doubt[];
}

/** Readings that can be, of a walk, at their separations. */
export const readingsOf = (finding: Finding, quantity: Quantity): PlacedReading[] =>
  finding.trace.measured.flatMap((measured): PlacedReading[] => {
    const { position, value, band, cell, network, atS } = measured;
    if (measured.quantity !== quantity || !position || readingTrouble(quantity, value) !== undefined)
      return [];
    const { turnS, begin } = finding.trace;
    return [
      {
        finding,
        measured,
        distanceM: separationAtM(finding.path, clipped(finding, position.travelledM)),
        band: band ?? network,
        cell,
        instrument: measured.instrument ?? begin.body.conditions?.instrument,
        server: measured.server,
        returning: turnS !== undefined && atS >= turnS,
      },
    ];
  });

/** Undefined before the first hand-over that the walker noticed. */
const saidCell = (before: Finding['trace']['handOvers']): string | undefined => {
  const last = before.at(-1);
  return last && (last.to ?? phrases.afterHandOver(before.length));
};

const rateRow = ({ finding, measured, distanceM, band, cell }: PlacedReading): RateRow => {
  const { span } = measured;
  const before = finding.trace.handOvers.filter((h) => h.atS <= measured.atS);
  const apart = (m: number): number => separationAtM(finding.path, clipped(finding, m));
  return {
    walkId: finding.walkId,
    distanceM,
    mbps: measured.value ?? 0,
    atS: measured.atS,
    band,
    // What the walker saw it change to stands where the reading itself says nothing.
    cell: cell ?? (band === undefined ? saidCell(before) : undefined),
    ...(before.length === 0 ? {} : { noticed: before.length }),
    spanM: span && [apart(span.fromM), apart(span.toM)],
  };
};

const DIRECTIONS = ['fixed-to-mobile', 'mobile-to-fixed'] as const;

/** Curves, verdicts, speeds and audits all ask. */
export const throughputFindings = byIdentity(
  (range: Pick<PathRanges, 'path' | 'findings'>): ThroughputFindings => {
    const doubts = doubtsOf(range);
    const curves = byProduct(range.findings).flatMap(([product, findings]) =>
      DIRECTIONS.flatMap((direction): ThroughputFinding[] => {
        const walks = findings.map((f) =>
          readingsOf(f, 'throughput').filter((r) => r.measured.direction === direction),
        );
        const read = walks.flat();
        const exact = walks.map((w) => w.filter((r) => r.measured.bound === undefined).map(rateRow));
        const rows = exact.flat();
        if (rows.length === 0) return [];
        const parts = partsOfWalks(exact);
        const behind = behindOf(range.path, direction);
        return [
          {
            ...{ product, direction, rows, parts },
            handOvers: exact.flatMap((w, i) => handOversOf(w, findings[i] as Finding)),
            // The line is behind every band: what reads alike across a hand-over is it all the more.
            cap: [parts[0]?.rows ?? [], rows].map((r) => capOf(r, behind)).find((c) => c !== undefined),
            fall: fallOf(rows),
            bounds: read.length - rows.length,
            lostAtM: least(rows.filter((r) => r.mbps === 0).map((r) => r.distanceM)),
            instruments: stated(read.map((r) => r.instrument)),
            unnamed: read.some((r) => r.instrument === undefined),
            servers: stated(read.map((r) => r.server ?? range.path.lineServer)),
            nearVisits: nearVisits(exact),
          },
        ];
      }),
    );
    const shared = Object.fromEntries(
      DIRECTIONS.flatMap((direction) => {
        const cap = sharedCap(
          curves.filter((c) => c.direction === direction).map((c) => c.parts[0]?.rows ?? []),
        );
        return cap ? [[direction, cap] as const] : [];
      }),
    );
    return { curves, shared, doubts };
  },
);

const least = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.min(...values);
const stated = (values: readonly (string | undefined)[]): string[] => [
  ...new Set(values.flatMap((v) => (v === undefined || v.trim() === '' ? [] : [v.trim()]))),
];

/** Parts of all walks, those that came by the same joined; the one that reads nearest first. */
function partsOfWalks(walks: readonly (readonly RateRow[])[]): FigurePart[] {
  const all = new Map<string, { by: string | undefined; rows: RateRow[]; walks: Set<string> }>();
  for (const walk of walks)
    for (const { by, rows } of partsOf(walk).parts) {
      const name = cameByText(by);
      const key = (name ?? '').toLowerCase();
      const part = all.get(key) ?? { by: name, rows: [], walks: new Set() };
      part.rows.push(...rows);
      for (const { walkId } of rows) part.walks.add(walkId);
      all.set(key, part);
    }
  const nearest = ({ rows }: { rows: readonly RateRow[] }): number =>
    least(rows.map((r) => r.distanceM)) ?? 0;
  return [...all.values()]
    .sort((a, b) => nearest(a) - nearest(b))
    .map((p) => ({ by: p.by, rows: p.rows, walks: p.walks.size, curve: throughputCurve(p.rows) }));
}

const handOversOf = (rows: readonly RateRow[], finding: Finding): HandOverFound[] =>
  partsOf(rows).handOvers.map(({ from, to, last, first, byReadings }) => {
    const seen = finding.trace.handOvers.find((h) => h.atS > last.atS && h.atS <= first.atS);
    return {
      walk: finding.label,
      from: cameByText(from) ?? phrases.notNoted,
      to: cameByText(to) ?? phrases.notNoted,
      fromM: last.distanceM,
      toM: first.distanceM,
      noticedBy: !seen ? 'readings' : byReadings ? 'readings and walker' : 'walker',
      noticedAtM: seen?.position && separationAtM(finding.path, clipped(finding, seen.position.travelledM)),
    };
  });

/** What the line behind the fixed end gives by cable, that way; absent: not measured. */
export function behindOf(path: SetupPath, direction: Direction): RateRange | undefined {
  const [leastMbps, mostMbps] =
    direction === 'fixed-to-mobile'
      ? [path.behindDownMbps, path.behindDownMostMbps]
      : [path.behindUpMbps, path.behindUpMostMbps];
  return leastMbps === undefined ? undefined : { leastMbps, mostMbps: Math.max(leastMbps, mostMbps ?? 0) };
}

/** What the line was sold as, the most of it; absent: not stated. */
const planOf = (path: SetupPath, direction: Direction): number | undefined =>
  direction === 'fixed-to-mobile'
    ? (path.planDownMostMbps ?? path.planDownMbps)
    : (path.planUpMostMbps ?? path.planUpMbps);

/** Beyond the plan by more than rounding and burst (common practice): that is not the line. */
const BEYOND = 1.05;

/**
 * Readings through the line that are faster than it was sold. Where the server is inside the network, no line is in
 * between.
 */
function doubtsOf({ path, findings }: Pick<PathRanges, 'path' | 'findings'>): Doubt[] {
  if (path.lineServerInside) return [];
  const found = new Map<string, Doubt>();
  for (const finding of findings)
    for (const { measured, instrument } of readingsOf(finding, 'throughput')) {
      const planMbps = planOf(path, measured.direction);
      const readMbps = measured.value ?? 0;
      if (planMbps === undefined || readMbps <= BEYOND * planMbps) continue;
      const key = `${instrument ?? ''}/${measured.direction}`;
      if (readMbps > (found.get(key)?.readMbps ?? 0))
        found.set(key, { instrument, readMbps, planMbps, direction: measured.direction });
    }
  return [...found.values()];
}

/** Whether what was read is in doubt, because its instrument is; what nobody named is taken for one. */
export const doubtOf = (
  { doubts }: ThroughputFindings,
  ...curves: readonly ThroughputFinding[]
): Doubt | undefined =>
  doubts.find(({ instrument }) =>
    curves.some((c) => (instrument === undefined ? c.unnamed : c.instruments.includes(instrument))),
  );

/** Stands within this of the nearest are like it. */
const LIKE = 1.1;

function nearVisits(walks: readonly (readonly RateRow[])[]): { distanceM: number; mbps: number }[] {
  const nearest = walks.flatMap((rows) => {
    const distanceM = Math.min(...rows.map((r) => r.distanceM));
    const here = rows.filter((r) => r.distanceM === distanceM).map((r) => r.mbps);
    return here.length > 0 ? [{ distanceM, mbps: median(here) }] : [];
  });
  const nearM = Math.min(...nearest.map((v) => v.distanceM));
  return nearest.filter((v) => v.distanceM <= LIKE * nearM || v.distanceM - nearM < 1);
}
