import {
  countOf,
  cameByText,
  capOf,
  crossNeed,
  fallOf,
  fittedInOrder,
  isReadings,
  partsOf,
  readReadings,
  readThroughput,
  throughputCurve,
  type Cap,
  type NeedCrossing,
  type RateRange,
  type ReadingRow,
  type ThroughputRow,
} from '@urvek/core';
import { speedText, WAY } from '@urvek/draw';
import { behindOf, Study, throughputFindings } from '@urvek/study';
import { BadInput } from './badInput.ts';
import { comparisonOf } from './comparison.ts';
import { readInput } from './readInput.ts';
import { rowsOf } from './readRows.ts';

interface Options {
  readonly json?: true;
  readonly need?: string;
  readonly backhaul?: string;
}

/** One product, one way, by one band or cell: what the command says of it. */
interface CurveOf {
  readonly of: Readonly<Record<string, string | null>>;
  readonly rows: readonly ThroughputRow[];
  readonly behind: RateRange | undefined;
}

/**
 * The `throughput` command: the decreasing curve, its cap, and where a need is crossed; of a plain table, of Urvek's
 * readings (each product, way and band by itself), or of a comparison. @throws BadInput
 */
export async function throughput(file: string, { json, need, backhaul }: Options): Promise<string> {
  const needMbps = need === undefined ? undefined : positive('--need', need);
  const behind = backhaul === undefined ? undefined : rangeOf(backhaul);
  const text = await readInput(file);
  if (text.trimStart().startsWith('{')) {
    const { setup, walks } = comparisonOf(text, file);
    const ranges = Study.ofLogs(setup, walks).ranges();
    const curves = ranges.flatMap((r) =>
      throughputFindings(r).curves.flatMap((c) =>
        c.parts.map((p): CurveOf => ({
          of: { path: r.path.name, product: c.product, direction: c.direction, by: p.by ?? null },
          rows: p.rows,
          behind: behind ?? behindOf(r.path, c.direction),
        })),
      ),
    );
    const speeds = Study.ofLogs(setup, walks)
      .curves()
      .flatMap((c) =>
        c.speeds.map((s) => ({ path: ranges.find((r) => r.id === c.id)?.path.name ?? '', ...s })),
      );
    if (json)
      return text1({
        curves: curves.map((c) => curveJson(c, needMbps)),
        speeds: speeds.map((s) => ({
          ...{ path: s.path, numerator: s.a, denominator: s.b, direction: s.direction },
          ...{ ratio: s.ratio?.ratio ?? null, bound: s.bound ?? null, not_ranked: s.refused ?? null },
          ci95: s.ratio?.interval95 ? [s.ratio.interval95.low, s.ratio.interval95.high] : null,
        })),
      });
    if (curves.length === 0) return 'no throughput was read\n';
    return [
      ...curves.map((c) => curveText(c, needMbps)),
      ...speeds.map((s) => `${s.a} against ${s.b}, ${WAY[s.direction]}, on ${s.path}: ${speedText(s)}`),
      '',
    ].join('\n');
  }
  if (isReadings(text)) {
    const curves = curvesOfReadings(rowsOf(file, text, readReadings), behind);
    if (json) return text1({ curves: curves.map((c) => curveJson(c, needMbps)) });
    return curves.length === 0
      ? 'no throughput was read\n'
      : `${curves.map((c) => curveText(c, needMbps)).join('\n')}\n`;
  }
  const curve = { of: {}, rows: rowsOf(file, text, readThroughput), behind };
  return json ? text1(curveJson(curve, needMbps)) : `${curveText(curve, needMbps)}\n`;
}

const text1 = (value: unknown): string => `${JSON.stringify(value, null, 1)}\n`;

/** Each product and way on each path; parts where band or cell changes in a walk. */
function curvesOfReadings(readings: readonly ReadingRow[], behind: RateRange | undefined): CurveOf[] {
  const walks = new Map<string, { readonly first: ReadingRow; readonly rows: PlacedRow[] }>();
  for (const r of readings) {
    if (r.quantity !== 'throughput' || r.bound !== undefined || r.distanceM === undefined) continue;
    const key = JSON.stringify([r.path, r.product, r.direction, r.walk]);
    const walk = walks.get(key) ?? { first: r, rows: [] as PlacedRow[] };
    walk.rows.push({ distanceM: r.distanceM, mbps: r.value ?? 0, band: r.band, cell: r.cell });
    walks.set(key, walk);
  }
  const curves = new Map<
    string,
    { of: CurveOf['of']; rows: ThroughputRow[]; behind: RateRange | undefined }
  >();
  for (const { first, rows } of walks.values())
    for (const part of partsOf(rows).parts) {
      const of = {
        ...{ path: first.path, product: first.product, direction: first.direction },
        by: cameByText(part.by) ?? null,
      };
      const key = JSON.stringify(of);
      const curve = curves.get(key) ?? { of, rows: [] as ThroughputRow[], behind };
      curve.rows.push(...part.rows);
      curves.set(key, curve);
    }
  return [...curves.values()];
}

type PlacedRow = ThroughputRow & { readonly band: string | undefined; readonly cell: string | undefined };

function worked({ rows, behind }: CurveOf, needMbps: number | undefined) {
  const curve = throughputCurve(rows);
  const cap: Cap | undefined = capOf(rows, behind);
  const crossing: NeedCrossing | undefined = needMbps === undefined ? undefined : crossNeed(curve, needMbps);
  return { curve, cap, crossing, fall: fallOf(rows) };
}

function curveJson(of: CurveOf, needMbps: number | undefined): object {
  const { curve, cap, crossing, fall } = worked(of, needMbps);
  return {
    ...of.of,
    n: of.rows.length,
    fitted: fittedInOrder(of.rows, curve),
    cap: cap
      ? { level_mbps: cap.levelMbps, points: cap.points, to_m: cap.toM, measured: cap.measured }
      : null,
    share_lost: fall?.share ?? null,
    need_mbps: needMbps ?? null,
    hold_m: crossing?.holdM ?? null,
    fail_m: crossing?.failM ?? null,
    distance_m: crossing?.distanceM ?? null,
  };
}

function curveText(of: CurveOf, needMbps: number | undefined): string {
  const { curve, cap, crossing, fall } = worked(of, needMbps);
  const named = Object.values(of.of).filter((v) => v !== null);
  return [
    ...(named.length > 0 ? [`${named.join(', ')}: n ${of.rows.length}`] : []),
    ...curve.map((c) => `${c.distanceM.toFixed(1).padStart(8)} m  ${c.mbps.toFixed(1).padStart(8)} Mbit/s`),
    ...(cap
      ? [
          `the nearest ${countOf(cap.points, 'point reads', 'points read')} about ` +
            `${cap.levelMbps.toFixed(1)} Mbit/s${cap.measured ? ', as what is behind gives by cable' : ''}: ` +
            'a cap; the link gives at least that',
        ]
      : []),
    ...(fall && named.length > 0
      ? [`from the nearest to the farthest it lost ${(100 * fall.share).toFixed(0)} %`]
      : []),
    ...(needMbps === undefined
      ? []
      : [
          crossing?.distanceM === undefined
            ? `${needMbps} Mbit/s: not crossed within these distances`
            : `${needMbps} Mbit/s: held at ${crossing.holdM} m, no longer at ${crossing.failM} m; in between ` +
              `at about ${crossing.distanceM.toFixed(1)} m`,
        ]),
  ].join('\n');
}

function positive(name: string, value: string): number {
  const number = Number(value);
  if (!(number > 0 && Number.isFinite(number))) throw new BadInput(`${name} ${value}: not a number above 0`);
  return number;
}

/** "150-200", "150 to 200" or "900". */
function rangeOf(text: string): RateRange {
  const [, a = '', b = a] = /^\s*([\d.]+)\s*(?:(?:-|–|to)\s*([\d.]+)\s*)?$/.exec(text) ?? [];
  const [leastMbps, mostMbps] = [positive('--backhaul', a || text), positive('--backhaul', b || text)];
  if (leastMbps > mostMbps) throw new BadInput(`--backhaul ${text}: the least comes first`);
  return { leastMbps, mostMbps };
}
