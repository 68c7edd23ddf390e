import {
  byIdentity,
  auditConsistency,
  auditFairness,
  kindOf,
  nothingTellsApart,
  outcomeOf,
  parseClaim,
  type AuditCase,
  type Audited,
  type AuditedProduct,
  type AuditedWalk,
  type Conditions,
  type Entered,
  type EnteredWalk,
  criterionFor,
  readingTrouble,
} from '@urvek/core';
import { type Product, type Rig, type Setup } from '@urvek/contract';
import { plannedPaths, plannedRigs, type PlannedWalk } from '../plan/plannedWalks.ts';
import { productOf, type Finding, type SetupPath } from '../results/findings.ts';
import { rigKey, subjectsOf } from '../results/subjects.ts';
import { checkpointMatrix } from '../results/matrix.ts';
import { rangesByPath, type PathRanges } from '../results/ranges.ts';
import { throughputFindings } from '../results/figures.ts';
import * as phrases from './phrases.ts';

/** A finding with the reason for leaving it, where one was given. */
export interface AuditEntry extends Audited {
  readonly acknowledged: string | undefined;
}

/**
 * Decibels become metres by this unless levels were logged: between free space and flat ground (common
 * practice).
 */
const USUAL_EXPONENT = 3;

/** All findings of both audits on what was walked and entered. */
export function auditComparison(
  setup: Setup,
  findings: readonly Finding[],
  ranges: readonly PathRanges[],
): AuditEntry[] {
  const cases = ranges.filter((r) => r.begun.length > 0).map((r) => caseOf(setup, findings, r));
  return acknowledged(setup, [
    ...auditFairness(cases),
    ...auditConsistency(enteredOf(setup, findings, ranges)),
  ]);
}

/**
 * The same on the rigs of a plan, while it can still be changed at no cost: what has walked counts, what
 * has not is taken as planned.
 */
export function auditPlan(
  setup: Setup,
  findings: readonly Finding[],
  ranges: readonly PathRanges[] = rangesByPath(setup, findings, setup.plan.criterion),
): AuditEntry[] {
  const kinds = [...new Set(plannedRigs(setup).map(({ product }) => product.kindId))];
  return acknowledged(
    setup,
    auditFairness(
      plannedPaths(setup).flatMap((path) =>
        kinds.map((kindId) => plannedCase(setup, findings, ranges, path, kindId)),
      ),
    ),
  );
}

/**
 * What a walk about to begin would add: findings on its product that are there with it and its conditions.
 */
export function auditBegin(
  setup: Setup,
  findings: readonly Finding[],
  walk: Pick<PlannedWalk, 'product' | 'rig' | 'path'>,
  conditions: Conditions,
  nowMs: number,
): AuditEntry[] {
  const { product, rig, path } = walk;
  const ranges = rangesByPath({ ...setup, paths: [path] }, findings, setup.plan.criterion);
  const base = plannedCase(setup, findings, ranges, path, product.kindId);
  const begun: AuditedWalk = {
    ...walkSettings(product, rig),
    label: phrases.theNext,
    startedMs: nowMs,
    round: undefined,
    baseline: false,
    finished: true,
    mode: 'continuous',
    conditions,
    graded: [],
    startM: 0,
    baselineStated: true,
    undated: false,
    methods: [],
    directions: kindOf(product.kindId).bothWays ? ['mobile-to-fixed', 'fixed-to-mobile'] : [],
    calls: 0,
    readBacks: 0,
    interval: undefined,
  };
  const own = base.products.filter((p) => p.model === product.id);
  const next = own.find((p) => p.rigs.some((r) => nothingTellsApart(r, rig))) ?? own[0];
  const products = base.products.map((p) =>
    p === next ? { ...p, walks: [...p.walks, begun], rigs: [rig] } : p,
  );
  // What one walk alone cannot be blamed for: Plan and Verdict say it.
  const ofTheWhole = new Set(['units', 'knowing', 'order', 'path-and-mode', 'time-of-day', 'graders']);
  return acknowledged(setup, auditFairness([{ ...base, products }])).filter(
    (f) => f.products.includes(next?.id ?? product.id) && !ofTheWhole.has(f.rule),
  );
}

function acknowledged(setup: Setup, found: readonly Audited[]): AuditEntry[] {
  const reasons = new Map((setup.acknowledged ?? []).map((a) => [a.key, a.reason]));
  return found.map((f) => ({ ...f, acknowledged: reasons.get(f.key) }));
}

/** A range of the plan, whether something has walked there or not. */
const plannedCase = (
  setup: Setup,
  findings: readonly Finding[],
  ranges: readonly PathRanges[],
  path: SetupPath,
  kindId: string,
): AuditCase => {
  const empty = {
    path,
    kindId,
    criterion: criterionFor(setup.plan.criterion, kindId),
    begun: [],
    summary: undefined,
  };
  return caseOf(setup, findings, ranges.find((r) => r.path.id === path.id && r.kindId === kindId) ?? empty);
};

type CaseRange = Pick<PathRanges, 'path' | 'kindId' | 'criterion' | 'begun'> & {
  readonly summary: PathRanges['summary'] | undefined;
};

function caseOf(setup: Setup, findings: readonly Finding[], range: CaseRange): AuditCase {
  const { path, kindId, criterion } = range;
  const kind = kindOf(kindId);
  const curves = range.summary ? throughputFindings(range as PathRanges).curves : [];
  const oneWay = range.summary ? checkpointMatrix(range as PathRanges).oneWay : [];
  const of = setup.products.filter((p) => p.kindId === kindId);
  const walked = new Set(range.begun.map((f) => rigKey(f.header.productId, f.header.rigId)));
  const subjects = subjectsOf({ products: of }, walked);
  return {
    pathId: path.id,
    pathName: path.name,
    criterion,
    kindName: kind.name,
    judgedBy: kind.judgedBy,
    bothWays: kind.bothWays,
    products: subjects.map(({ id, name, product, rigs }): AuditedProduct => {
      const own = range.begun.filter(
        (f) => f.header.productId === product.id && rigs.some((r) => r.id === f.header.rigId),
      );
      const walks = own.map((f) => walkOf(f, product, criterion));
      const planned = plannedRigs(setup)
        .filter((r) => r.product.id === product.id)
        .map((r) => r.rig);
      return {
        id,
        model: product.id,
        name,
        bandMHz: product.bandMHz,
        powerMw: product.powerMw,
        walks,
        rigs: walks.length > 0 ? [...new Set(walks.map((w) => w.rig))] : planned,
        pathsWalked: [
          ...new Set(findings.filter((f) => f.header.productId === product.id).map((f) => f.path.name)),
        ],
        quoted: (setup.quoted ?? [])
          .filter((q) => q.productId === product.id && q.pathId === path.id)
          .map((q) => ({
            source: q.source,
            walks: q.walks,
            meanM: q.meanM,
            bestM: q.bestM,
            worstM: q.worstM,
            spreadM: q.spreadM,
            unit: q.unit,
          })),
        cap: curves.find((c) => c.product === name && c.cap)?.cap,
        oneWay: oneWay.filter((o) => o.product === name),
      };
    }),
    ratios: range.summary?.productRatios ?? [],
    ratioClaims: of.flatMap((p) =>
      p.claims.flatMap((c) =>
        c.form === 'ratio' && c.against !== undefined
          ? [
              {
                product: p.id,
                against: c.against,
                ratio: parseClaim('ratio', c.entered).value,
                entered: c.entered,
              },
            ]
          : [],
      ),
    ),
    blind: setup.plan.blind === true,
    exponent: USUAL_EXPONENT,
  };
}

const walkSettings = (product: Product, rig: Rig): Pick<AuditedWalk, 'rig' | 'rigName' | 'unit'> => ({
  rig,
  rigName: rig.name,
  unit: product.units.find((u) => u.id === rig.unitMobileId)?.label ?? rig.unitMobileId,
});

const walkOf = byIdentity(
  (finding: Finding, product: Product, criterion: AuditCase['criterion']): AuditedWalk => {
    const { header, trace } = finding;
    const { begin } = trace;
    const rig = product.rigs.find((r) => r.id === header.rigId) ?? (product.rigs[0] as Rig);
    return {
      ...walkSettings(product, rig),
      label: finding.label,
      startedMs: header.startedMs,
      round: header.slot?.round,
      baseline: header.slot?.variant === 'baseline',
      finished: trace.endReason !== undefined,
      mode: begin.body.mode ?? 'continuous',
      conditions: begin.body.conditions ?? {},
      graded: begin.body.graded ?? [],
      startM: begin.body.reading?.travelledM,
      baselineStated: begin.body.baselineGrade !== undefined,
      undated: header.undated === true,
      methods: trace.methods,
      directions: directionsWalked(finding),
      calls: trace.calls.length,
      readBacks: finding.logged.readBacks,
      interval: outcomeOf(finding, criterion).interval,
    };
  },
);

/** Directions that have something to say: a walk begins with one, and a log may speak of both. */
const directionsWalked = ({ directions }: Finding): Finding['directions'][number]['direction'][] =>
  directions.map((d) => d.direction);

function enteredOf(setup: Setup, findings: readonly Finding[], ranges: readonly PathRanges[]): Entered {
  const nameOf = (list: readonly { id: string; name: string }[], id: string): string =>
    list.find((x) => x.id === id)?.name ?? id;
  return {
    quoted: (setup.quoted ?? []).map((q) => ({
      productId: q.productId,
      product: nameOf(setup.products, q.productId),
      path: nameOf(setup.paths, q.pathId),
      source: q.source,
      walks: q.walks,
      meanM: q.meanM,
      bestM: q.bestM,
      worstM: q.worstM,
      spreadM: q.spreadM,
      unit: q.unit,
      failedWithoutDistance: q.failedWithoutDistance ?? false,
    })),
    walks: findings.map((f) => enteredWalk(f, setup)),
    doubts: ranges.flatMap((r) =>
      throughputFindings(r).doubts.map((d) => ({
        ...d,
        path: r.path.name,
        products: [...new Set(r.findings.map((f) => f.header.productId))],
      })),
    ),
    ranges: ranges.flatMap(({ path, subjects, summary }) =>
      summary.fitted.flatMap((c) => {
        const product = subjects.find((s) => s.name === c.product)?.product;
        const interval = c.withScale95M.median;
        return product && interval
          ? [
              {
                productId: product.id,
                path: path.name,
                lowM: interval.low,
                highM: interval.high,
                walks: c.walks,
              },
            ]
          : [];
      }),
    ),
  };
}

const enteredWalk = byIdentity((finding: Finding, setup: Setup): EnteredWalk => {
  const { marks, readingsS } = finding.logged;
  const mode = finding.trace.begin.body.mode ?? 'continuous';
  return {
    productId: finding.header.productId,
    product: productOf(setup, finding)?.name ?? finding.product,
    path: finding.path.name,
    label: finding.label,
    marks,
    notes: finding.trace.notes,
    readingsS,
    figures: finding.trace.measured.flatMap(({ quantity, direction, value, position }) =>
      value === undefined ? [] : [{ quantity, direction, value, atM: position?.travelledM }],
    ),
    atStands: mode === 'stop and call' || mode === 'hits',
    unplacedFailures: finding.directions.reduce(
      (sum, { trace }) => sum + trace.stretches.filter((s) => s.state === 'lost' && !s.from && !s.to).length,
      0,
    ),
    reports: reportsOf(setup, finding),
    impossible: finding.trace.measured.flatMap(
      ({ quantity, value }) => readingTrouble(quantity, value) ?? [],
    ),
    endS: finding.trace.endS,
  };
});

/** What each device that watched found: the walk's own, and those that joined it. */
function reportsOf(setup: Setup, finding: Finding): EnteredWalk['reports'] {
  const { directions, seconds, subject } = finding;
  const criterion = criterionFor(setup.plan.criterion, subject.product.kindId);
  const all = [
    ...directions.map((d) => ({ ...d, by: phrases.theDeviceOfTheWalk })),
    ...seconds.map((d) => ({ ...d, by: phrases.theJoinedDevice(d.joined.role) })),
  ];
  return seconds.length === 0
    ? []
    : all.flatMap(({ by, direction, outcomes }) => {
        const found = outcomes.find((o) => o.criterion === criterion)?.interval;
        if (!found) return [];
        const { heldM, failedM, heldUM = 0, failedUM = 0 } = found;
        return [{ by, direction, heldM, failedM, uM: Math.max(heldUM, failedUM) }];
      });
}
