import {
  availability,
  capOf,
  disagreement,
  distanceOf,
  firth,
  pathLengthM,
  pooled,
  resampledDistance,
  seeded,
  separationAtM,
  sharedCap,
  splitByNetwork,
  throughputCurve,
  turnbull,
  type AvailabilityBin,
  type Cap,
  type Direction,
  type Grade,
  type LevelReading,
  type LognormalCurve,
  type NetworkedRow,
  type ThroughputRow,
  type TrialDistance,
  type TrialRow,
  type TrialWalk,
  type TurnbullEstimate,
} from '@urvek/core';
import { productOf, walkRows, type Finding, type PathRanges } from './derive.ts';
import type { Setup } from './setup.ts';

/** Share of walks of a product that hold to a distance: by the model, and by the walks alone. */
export interface HoldCurve {
  readonly product: string;
  readonly walks: number;
  readonly model: LognormalCurve | undefined;
  readonly steps: TurnbullEstimate;
  /** The two differ by more than so few walks explain. */
  readonly disagrees: boolean;
}

export function holdCurves(setup: Setup, range: PathRanges): HoldCurve[] {
  const rows = walkRows(setup, range.findings, range.criterion, range.side);
  return range.summary.fitted
    .filter((c) => c.walks > 0)
    .map((cell) => {
      const steps = turnbull(rows.filter((r) => r.product === cell.product));
      const model =
        cell.median && range.summary.sigma !== undefined
          ? { medianM: cell.median.estimateM, sigma: range.summary.sigma }
          : undefined;
      return {
        product: cell.product,
        walks: cell.walks,
        model,
        steps,
        disagrees: model !== undefined && disagreement(model, steps, cell.walks).plain,
      };
    });
}

/** Presses and answers of a product over separation. */
export interface HitsCurve {
  readonly product: string;
  readonly walks: number;
  readonly rows: readonly TrialRow[];
  readonly coefficients: readonly [number, number] | undefined;
  readonly d50: TrialDistance | undefined;
  readonly d90: TrialDistance | undefined;
  /** The same from drawing the walks again, where there are enough of them. */
  readonly resampled50: ReturnType<typeof resampledDistance>;
}

const NEAREST_M = 0.5;

export function hitsCurves(range: PathRanges): HitsCurve[] {
  return byProduct(range.findings).flatMap(([product, findings]): HitsCurve[] => {
    const walks = findings.flatMap((f): TrialWalk[] => {
      const rows = f.trace.hits.flatMap((h): TrialRow[] =>
        h.position
          ? [
              {
                distanceM: Math.max(NEAREST_M, separationAtM(f.path, clipped(f, h.position.travelledM))),
                trials: h.presses,
                successes: h.hits,
              },
            ]
          : [],
      );
      return rows.length > 0 ? [{ walk: f.label, rows }] : [];
    });
    if (walks.length === 0) return [];
    const rows = pooled(walks);
    const fit = firth(rows);
    return [
      {
        product,
        walks: walks.length,
        rows,
        coefficients: fit?.coefficients,
        d50: fit && distanceOf(rows, fit, 0.5),
        d90: fit && distanceOf(rows, fit, 0.9),
        resampled50: resampledDistance(walks, 0.5, seeded('hits', product)),
      },
    ];
  });
}

/** A position can stand a whisker beyond the path's end. */
const clipped = ({ path }: Finding, travelledM: number): number =>
  Math.min(pathLengthM(path), Math.max(0, travelledM));

const byProduct = (findings: readonly Finding[]): [string, Finding[]][] =>
  [...new Set(findings.map((f) => f.product))].map((p) => [p, findings.filter((f) => f.product === p)]);

export interface ThroughputFinding {
  readonly product: string;
  readonly direction: Direction;
  readonly rows: readonly NetworkedRow[];
  readonly curve: readonly ThroughputRow[];
  readonly cap: Cap | undefined;
  /** Band, channel or access point changed in mid-walk so often, less one: each part has its own curve, the first is shown. */
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

export interface ProductAvailability {
  readonly product: string;
  readonly bins: readonly AvailabilityBin[];
}

/** About twenty bins a path, at least 5 m wide. */
export function availabilityOf(range: PathRanges): ProductAvailability[] {
  const lengthM = pathLengthM(range.path);
  const binM = Math.max(5, 5 * Math.ceil(lengthM / 20 / 5));
  return byProduct(range.findings).map(([product, findings]) => ({
    product,
    bins: availability(
      findings.map((f) => f.trace),
      lengthM,
      binM,
    ),
  }));
}

/** One cell of the checkpoint matrix. */
export interface MatrixCell {
  readonly checkpoint: string;
  readonly atM: number;
  readonly product: string;
  readonly direction: Direction;
  /** One a walk. */
  readonly grades: readonly Grade[];
}

export interface OneWayLink {
  readonly checkpoint: string;
  readonly product: string;
  readonly deaf: 'fixed end' | 'mobile end';
}

export interface CheckpointMatrix {
  readonly checkpoints: readonly { readonly name: string; readonly atM: number }[];
  readonly cells: readonly MatrixCell[];
  readonly oneWay: readonly OneWayLink[];
}

const mean = (grades: readonly number[]): number => grades.reduce((a, b) => a + b, 0) / grades.length;

/** Grades called at checkpoints: products × checkpoints × directions, with the links that work one way only. */
export function checkpointMatrix(range: PathRanges): CheckpointMatrix {
  const calls = range.findings.flatMap((f) =>
    f.directions.flatMap((d) => d.trace.calls.map((c) => ({ ...c, product: f.product }))),
  );
  const places = range.path.checkpoints.filter((c) => calls.some((call) => call.checkpoint === c.name));
  const products = [...new Set(calls.map((c) => c.product))];
  const cells = places.flatMap(({ name, atM }) =>
    products.flatMap((product) =>
      (['mobile-to-fixed', 'fixed-to-mobile'] as const).flatMap((direction): MatrixCell[] => {
        const grades = calls
          .filter((c) => c.checkpoint === name && c.product === product && c.direction === direction)
          .map((c) => c.grade);
        return grades.length > 0 ? [{ checkpoint: name, atM, product, direction, grades }] : [];
      }),
    ),
  );
  const oneWay = places.flatMap(({ name }) =>
    products.flatMap((product): OneWayLink[] => {
      const graded = (direction: Direction): number | undefined => {
        const cell = cells.find(
          (c) => c.checkpoint === name && c.product === product && c.direction === direction,
        );
        return cell && mean(cell.grades);
      };
      const [toFixed, toMobile] = [graded('mobile-to-fixed'), graded('fixed-to-mobile')];
      if (
        toFixed === undefined ||
        toMobile === undefined ||
        Math.min(toFixed, toMobile) >= 2 ||
        Math.max(toFixed, toMobile) < 3
      )
        return [];
      return [{ checkpoint: name, product, deaf: toFixed < toMobile ? 'fixed end' : 'mobile end' }];
    }),
  );
  return { checkpoints: places, cells, oneWay };
}

/** Everything that stage Ranges draws beside the tape of one path. */
export interface PathCurves {
  readonly id: string;
  readonly hold: readonly HoldCurve[];
  readonly hits: readonly HitsCurve[];
  readonly throughput: ThroughputFindings;
  readonly availability: readonly ProductAvailability[];
  readonly matrix: CheckpointMatrix;
}

export const pathCurves = (setup: Setup, range: PathRanges): PathCurves => ({
  id: range.id,
  hold: holdCurves(setup, range),
  hits: hitsCurves(range),
  throughput: throughputFindings(range),
  availability: availabilityOf(range),
  matrix: checkpointMatrix(range),
});

/** Whether the products of a range come with a single unit each. */
export const unitsOf = (setup: Setup, range: PathRanges): Map<string, number> => {
  const units = new Map<string, Set<string>>();
  for (const finding of range.findings) {
    const product = productOf(setup, finding);
    const rig = product?.rigs.find((r) => r.id === finding.header.rigId);
    if (product && rig) units.set(product.name, (units.get(product.name) ?? new Set()).add(rig.unitMobileId));
  }
  return new Map([...units].map(([name, of]) => [name, of.size]));
};

/** Levels that were logged on a path, for the fit of its exponent; a reading without a value was lost. */
export const loggedLevels = (findings: readonly Finding[], pathId: string): LevelReading[] =>
  findings
    .filter((f) => f.header.pathId === pathId)
    .flatMap((f) =>
      f.trace.measured.flatMap((m): LevelReading[] => {
        if (m.quantity !== 'level' || !m.position) return [];
        const distanceM = Math.max(NEAREST_M, separationAtM(f.path, clipped(f, m.position.travelledM)));
        return [m.value === undefined ? { distanceM, lost: true } : { distanceM, levelDbm: m.value }];
      }),
    );
