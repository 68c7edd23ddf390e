import {
  coordinateAt,
  coordinatesOf,
  CRITERIA,
  effectiveLog,
  outcomeOf,
  pathLengthM,
  QUANTITY_UNIT,
  READINGS_COLUMNS,
  separationAtM,
  writeTable,
  type RouteFile,
} from '@urvek/core';
import type { Setup, StoredWalk } from '@urvek/contract';
import type { Judgement } from '../judgement.ts';
import { figuresOf, type PathFigures } from '../results/curves.ts';
import { clipped } from '../results/places.ts';
import { productOf, type Finding, type SetupPath } from '../results/findings.ts';
import * as phrases from './phrases.ts';

type Row = readonly (string | number)[];
/** Exports say it as the screen does: whether the gear was simulated. */
const simulatedText = ({ trace }: Finding): string =>
  trace.begin.body.simulatedSeed === undefined ? 'no' : 'yes';
const figure = (value: number | undefined, digits = 2): string =>
  value === undefined ? '' : value.toFixed(digits);
/** Older versions let in what no date can hold: it is left out. */
const instant = (ms: number): string => {
  const date = new Date(ms);
  return Number.isNaN(date.getTime()) ? '' : date.toISOString();
};

/** Every walk, whatever came of it. Simulated ones say so. */
export function walksCsv(setup: Setup, findings: readonly Finding[]): string {
  const head = [
    'walk_id',
    'product',
    'unit',
    'rig',
    'path',
    'walk',
    'started_utc',
    'duration_s',
    'farthest_m',
    'usable_share',
    'dropouts',
    'lost_s',
    'end_reason',
    'mode',
    'directions',
    'simulated',
    ...CRITERIA.flatMap((c) => [`${c.replaceAll(' ', '_')}_held_m`, `${c.replaceAll(' ', '_')}_failed_m`]),
  ];
  return writeTable(
    head,
    findings.map((f): Row => {
      const rig = productOf(setup, f)?.rigs.find((r) => r.id === f.header.rigId);
      const unit = productOf(setup, f)?.units.find((u) => u.id === rig?.unitMobileId)?.label ?? '';
      const { summary: s, trace } = f;
      return [
        f.walkId,
        f.product,
        unit,
        rig?.name ?? '',
        f.path.name,
        f.label,
        instant(f.header.startedMs),
        figure(s.durationS, 1),
        figure(s.farthestM),
        figure(s.usableShare, 3),
        s.dropouts.length,
        figure(s.lostS, 1),
        trace.endReason ?? phrases.notFinished,
        trace.begin.body.mode ?? 'continuous',
        f.directions.map((d) => d.direction).join(' and '),
        simulatedText(f),
        ...CRITERIA.flatMap((c) => {
          const { interval } = outcomeOf(f, c);
          return [figure(interval?.heldM), figure(interval?.failedM)];
        }),
      ];
    }),
  );
}

/** Every mark, with its method and standard uncertainty. */
export const marksCsv = (findings: readonly Finding[]): string =>
  writeTable(
    ['walk_id', 'product', 'path', 'walk', 'at_s', 'travelled_m', 'standard_uncertainty_m', 'simulated'],
    findings.flatMap((f) =>
      f.trace.fixes.map((x): Row => [
        f.walkId,
        f.product,
        f.path.name,
        f.label,
        figure(x.atS),
        figure(x.travelledM),
        figure(x.uncertaintyM, 3),
        simulatedText(f),
      ]),
    ),
  );

/** Every event as it was logged, and whether a correction has taken it out or changed it. */
export function eventsCsv(walks: readonly StoredWalk[]): string {
  return writeTable(
    ['walk_id', 'device_id', 'seq', 'kind', 'at_s', 'logged_utc', 'in_force', 'simulated', 'body_json'],
    walks.flatMap(({ header, log }) => {
      const inForce = new Map(effectiveLog(log).map((e) => [`${e.deviceId}:${e.seq}`, e]));
      const simulated = log.some((e) => e.kind === 'begin' && e.body.simulatedSeed !== undefined)
        ? 'yes'
        : 'no';
      return log.map((e): Row => [
        header.id,
        e.deviceId,
        e.seq,
        e.kind,
        figure(e.time.walkS, 3),
        instant(e.time.wallMs),
        e.kind === 'correction' || inForce.has(`${e.deviceId}:${e.seq}`) ? 'yes' : 'no',
        simulated,
        JSON.stringify(e.body),
      ]);
    }),
  );
}

/** Estimates, ratios, claims, needs, audits: one row a finding. */
export function findingsCsv(setup: Setup, { ranges, verdicts, needs, audits, stations }: Judgement): string {
  const rows: Row[] = [
    ...ranges.flatMap((r) =>
      r.summary.fitted
        .filter((c) => c.walks > 0)
        .flatMap((c): Row[] => [
          [
            'median',
            c.product,
            r.path.name,
            r.criterion,
            c.walks,
            figure(c.median?.estimateM),
            figure(c.withScale95M.median?.low),
            figure(c.withScale95M.median?.high),
            'm',
            c.reason ?? '',
          ],
          [
            'p10',
            c.product,
            r.path.name,
            r.criterion,
            c.walks,
            figure(c.own?.p10?.estimateM),
            figure(c.withScale95M.p10?.low),
            figure(c.withScale95M.p10?.high),
            'm',
            c.reason ?? '',
          ],
        ]),
    ),
    ...ranges.flatMap((r) =>
      r.summary.productRatios.map((x): Row => [
        'ratio',
        `${x.numerator} / ${x.denominator}`,
        r.path.name,
        r.criterion,
        x.walks.join(' and '),
        figure(x.estimate?.ratio, 4),
        figure(x.withScale95?.low, 4),
        figure(x.withScale95?.high, 4),
        '×',
        x.reason ?? '',
      ]),
    ),
    ...ranges.flatMap((r) => figureRows(r.path.name, figuresOf(setup, r))),
    ...verdicts.map((v): Row => [
      'claim',
      v.subject,
      v.path?.name ?? '',
      v.claim.entered,
      '',
      '',
      '',
      '',
      '',
      `${v.verdict.outcome}: ${v.verdict.reason}`,
    ]),
    ...needs.map((n): Row => [
      'need',
      n.subject,
      n.path?.name ?? '',
      n.need.use,
      '',
      figure(n.verdict.margin, 4),
      '',
      '',
      '×',
      `${n.verdict.outcome}: ${n.verdict.reason}`,
    ]),
    ...stations.map((s): Row => [
      'station',
      s.product?.name ?? '',
      s.row.place ?? '',
      s.row.what,
      '',
      figure((s.found.beforeAfter ?? s.found.best)?.difference),
      '',
      '',
      QUANTITY_UNIT[s.row.quantity],
      s.said.join(' '),
    ]),
    ...audits.map((a): Row => [
      a.audit,
      a.products.join(' '),
      a.path,
      a.rule,
      '',
      figure(a.sizeDb, 1),
      '',
      '',
      a.sizeDb === undefined ? '' : 'dB',
      `${a.what}${a.acknowledged === undefined ? '' : phrases.leftBecause(a.acknowledged)}`,
    ]),
  ];
  const simulated = ranges.some((r) => r.findings.some((f) => simulatedText(f) === 'yes')) ? 'yes' : 'no';
  return writeTable(
    [
      'finding',
      'subject',
      'path',
      'criterion_or_name',
      'walks',
      'value',
      'low95',
      'high95',
      'unit',
      'words',
      'simulated',
    ],
    rows.map((r) => [...r, simulated]),
  );
}

/** Throughput, level and latency: near by, along the path, against each other, and how far a figure reaches. */
function figureRows(path: string, { throughput, sets, speeds, figures }: PathFigures): Row[] {
  return [
    ...throughput.curves.flatMap((c): Row[] => {
      const near = c.parts[0]?.curve[0];
      return [
        [
          phrases.throughputNearBy,
          c.product,
          path,
          c.direction,
          c.nearVisits.length,
          figure(c.cap?.levelMbps ?? near?.mbps),
          figure(c.cap?.levelMbps),
          '',
          'Mbit/s',
          c.cap
            ? phrases.atLeast(
                c.cap.measured ? phrases.itReadsWhatIsBehindIt : phrases.itsNearestPointsReadAlike,
              )
            : '',
        ],
        ...(c.fall
          ? [
              [
                'share lost along the path',
                c.product,
                path,
                c.direction,
                c.nearVisits.length,
                figure(c.fall.share, 4),
                c.cap ? figure(c.fall.share, 4) : '',
                '',
                '',
                `${figure(c.fall.nearMbps)} to ${figure(c.fall.farMbps)} Mbit/s, ` +
                  `${figure(c.fall.nearM)} to ${figure(c.fall.farM)} m`,
              ] as const,
            ]
          : []),
        ...c.handOvers.map((h): Row => [
          'hand-over',
          c.product,
          path,
          c.direction,
          h.walk,
          '',
          figure(Math.min(h.fromM, h.toM)),
          figure(Math.max(h.fromM, h.toM)),
          'm',
          phrases.toNoticedBy(h.from, h.to, h.noticedBy),
        ]),
      ];
    }),
    ...sets.map((s): Row => [
      s.quantity,
      s.product,
      path,
      `${s.direction}, ${s.stand}`,
      s.walks,
      figure(s.median),
      '',
      '',
      QUANTITY_UNIT[s.quantity],
      [
        `n ${s.readings}`,
        ...(s.least === undefined ? [] : [phrases.to(figure(s.least), figure(s.most))]),
        ...(s.none > 0 ? [phrases.noConnectionIn(s.none)] : []),
        phrases.atM(figure(s.distanceM)),
      ].join('; '),
    ]),
    ...speeds.map((s): Row => [
      phrases.speedRatio,
      `${s.a} / ${s.b}`,
      path,
      s.direction,
      s.ratio?.walks.join(' and ') ?? '',
      figure(s.ratio?.ratio, 4),
      figure(s.ratio?.interval95?.low, 4),
      figure(s.ratio?.interval95?.high, 4),
      '×',
      s.refused ?? s.bound ?? '',
    ]),
    ...figures.flatMap(({ need, direction, summary }) =>
      summary.fitted
        .filter((c) => c.walks > 0)
        .map((c): Row => [
          phrases.reachOfAFigure,
          c.product,
          path,
          `${need}, ${direction}`,
          c.walks,
          figure(c.median?.estimateM),
          figure(c.withScale95M.median?.low),
          figure(c.withScale95M.median?.high),
          'm',
          c.reason ?? '',
        ]),
    ),
  ];
}

/** Readings of instruments, with their unit. */
export const readingsCsv = (findings: readonly Finding[]): string =>
  writeTable(
    READINGS_COLUMNS,
    findings.flatMap((f) =>
      f.trace.measured.map((m): Row => [
        f.walkId,
        f.product,
        f.path.name,
        f.label,
        m.quantity,
        m.direction,
        figure(m.position?.travelledM),
        figure(m.position && separationAtM(f.path, clipped(f, m.position.travelledM))),
        m.value ?? '',
        QUANTITY_UNIT[m.quantity],
        m.bound ?? '',
        m.least ?? '',
        m.most ?? '',
        m.band ?? m.network ?? '',
        m.cell ?? '',
        m.server ?? '',
        m.instrument ?? f.trace.begin.body.conditions?.instrument ?? '',
        m.load ?? '',
        m.heightM ?? '',
        m.provenance ?? '',
        simulatedText(f),
      ]),
    ),
  );

/**
 * A path that knows its coordinate, with its checkpoints and the marks of its walks; undefined without one.
 */
export function routeFileOf(path: SetupPath, findings: readonly Finding[] = []): RouteFile | undefined {
  const { fixedEnd } = path;
  if (!fixedEnd) return undefined;
  const at = (name: string, travelledM: number) => ({
    ...coordinateAt(path, fixedEnd, Math.min(pathLengthM(path), Math.max(0, travelledM))),
    name,
  });
  const own = findings.filter((f) => f.header.pathId === path.id);
  return {
    lines: [{ name: path.name, places: coordinatesOf(path, fixedEnd) }],
    waypoints: [
      ...path.checkpoints.map((c) => at(c.name, c.atM)),
      ...own.flatMap((f) =>
        f.trace.fixes.map((x) =>
          at(phrases.walkM(f.product, f.label, x.travelledM.toFixed(1)), x.travelledM),
        ),
      ),
    ],
  };
}

/** All paths with coordinates in one file. */
export function routesOf({ paths }: Setup, findings: readonly Finding[]): RouteFile {
  const files = paths.flatMap((p) => routeFileOf(p, findings) ?? []);
  return { lines: files.flatMap((f) => f.lines), waypoints: files.flatMap((f) => f.waypoints) };
}
