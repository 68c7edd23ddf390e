import type { Setup, StoredWalk } from '@urvek/contract';
import type { LevelReading, Side, WantedCriterion } from '@urvek/core';
import { auditBegin, auditComparison, auditPlan, type AuditEntry } from './audit/audits.ts';
import { planBoard, type PlanBoard } from './boards/planBoard.ts';
import type { Judgement } from './judgement.ts';
import { judgeNeeds, costTables } from './judge/needs.ts';
import { findLatencies } from './judge/latencies.ts';
import { judgeStations } from './judge/stations.ts';
import { judgeClaims } from './judge/verdicts.ts';
import { nextPoints, type NextPoint } from './plan/planning.ts';
import { stageStates, type StageState } from './plan/stages.ts';
import { isSealed, seal } from './plan/seal.ts';
import { pathCurves, type PathCurves } from './results/curves.ts';
import { counted, deriveEntry, nameFindings, type DerivedEntry, type Finding } from './results/findings.ts';
import { loggedLevels } from './results/levels.ts';
import { acrossPaths, countOutcomes, rangesByPath, type PathRanges } from './results/ranges.ts';
import { bandsOf, rowOf, withheldRows, type StateBand, type WalkRow } from './results/rows.ts';

/**
 * One comparison with its walks: made once from a set-up and what was derived from the logs, indexed by id,
 * everything else worked out when it is asked for and then kept. The same on the phone, the server and the
 * command line.
 *
 * What is costly (see summarise, hits) is remembered by its content beyond the life of one study, so that a
 * study made anew after one walk more, or a keystroke in the plan, works out only what that changes.
 */
export class Study {
  /** Every walk whose log is here, those too that were left out. */
  readonly all: readonly Finding[];
  /** Those that count. */
  readonly findings: readonly Finding[];
  private readonly byId: ReadonlyMap<string, Finding>;
  private readonly kept = new Map<string, unknown>();

  constructor(
    readonly setup: Setup,
    readonly entries: readonly DerivedEntry[],
    /** One of the same entries and of a set-up that differs in its plan alone: its walks and ranges are these. */
    private readonly alike?: Study,
  ) {
    this.all = alike?.all ?? nameFindings(setup, entries);
    this.findings = counted(this.all);
    this.byId = new Map(this.all.map((f) => [f.walkId, f]));
  }

  /** From the logs themselves. */
  static ofLogs(setup: Setup, walks: readonly StoredWalk[]): Study {
    return new Study(
      setup,
      walks.map((walk) => deriveEntry(setup, walk)),
    );
  }

  /** The same walks under another set-up: one being edited, sealed, or as it may leave. */
  under(setup: Setup): Study {
    return new Study(setup, this.entries, alikeButPlan(this.setup, setup) ? this : undefined);
  }

  /** While the plan is blind and its walks are not all in: letters for names, and undefined otherwise. */
  sealed(key: string): Study | undefined {
    return this.once('sealed', () =>
      isSealed(this.setup, this.rows) ? this.under(seal(this.setup, key)) : undefined,
    );
  }

  finding(walkId: string): Finding | undefined {
    return this.byId.get(walkId);
  }

  /** Every walk in a line: what lists, the plan and the strip of stages need. */
  /** The way out of every walk in bands of state, by its id. */
  get bands(): Readonly<Record<string, readonly StateBand[]>> {
    return this.once('bands', () =>
      Object.fromEntries(this.all.map(({ walkId, trace }) => [walkId, bandsOf(trace)])),
    );
  }

  get rows(): readonly WalkRow[] {
    return this.once('rows', () => [...this.all.map(rowOf), ...withheldRows(this.setup, this.entries)]);
  }

  ranges(wanted: WantedCriterion = this.setup.plan.criterion, side?: Side): readonly PathRanges[] {
    return this.once(
      `ranges ${wanted} ${side}`,
      () => this.alike?.ranges(wanted, side) ?? rangesByPath(this.setup, this.findings, wanted, side),
    );
  }

  curves(wanted: WantedCriterion = this.setup.plan.criterion, side?: Side): readonly PathCurves[] {
    return this.once(`curves ${wanted} ${side}`, () =>
      this.ranges(wanted, side).map((r) => pathCurves(this.setup, r)),
    );
  }

  judgement(wanted: WantedCriterion = this.setup.plan.criterion, side?: Side): Judgement {
    return this.once(`judgement ${wanted} ${side}`, () => {
      const ranges = this.ranges(wanted, side);
      const judged = this.ranges();
      return {
        ranges,
        across: acrossPaths(ranges),
        verdicts: judgeClaims(this.setup, judged),
        needs: judgeNeeds(this.setup, this.findings),
        audits: auditComparison(this.setup, this.findings, judged),
        latencies: findLatencies(this.setup),
        costs: costTables(judged),
        stations: judgeStations(this.setup),
      };
    });
  }

  /** Where it stands, stage by stage. */
  stages(): readonly StageState[] {
    return this.once('stages', () =>
      stageStates(this.setup, this.rows, countOutcomes(this.setup, this.findings, this.setup.plan.criterion)),
    );
  }

  /** Rigs by paths: the walks made and to make, and whether they will decide anything. */
  planBoard(): PlanBoard {
    return this.once('plan board', () => planBoard(this.setup, this.rows));
  }

  nextPoints(): readonly NextPoint[] {
    return this.once('next points', () => nextPoints(this.setup, this.findings, this.setup.plan.criterion));
  }

  /** Fairness of the plan, what has walked counted in. */
  planAudit(): readonly AuditEntry[] {
    return this.once('plan audit', () => auditPlan(this.setup, this.findings, this.ranges()));
  }

  /** What a walk about to begin would add. */
  beginAudit(...asked: BeginAsked): readonly AuditEntry[] {
    return auditBegin(this.setup, this.findings, ...asked);
  }

  levels(pathId: string): readonly LevelReading[] {
    return this.once(`levels ${pathId}`, () =>
      loggedLevels(
        this.findings.filter((f) => f.trace.endReason !== undefined),
        pathId,
      ),
    );
  }

  /** Places that walks on a path name, and that have no distance yet: each once. */
  unplacedNames(pathId: string): readonly string[] {
    const names = this.all
      .filter((f) => f.header.pathId === pathId)
      .flatMap((f) => f.trace.named.flatMap((n) => (n.unplaced ? [n.name.trim()] : [])));
    return [...new Map(names.map((n) => [n.toLowerCase(), n])).values()];
  }

  private once<T>(key: string, make: () => T): T {
    if (!this.kept.has(key)) this.kept.set(key, make());
    return this.kept.get(key) as T;
  }
}

/** Another plan makes no other walks: neither where they ended, nor how far a product reaches. */
function alikeButPlan(a: Setup, b: Setup): boolean {
  const rest = ({ plan: _, ...setup }: Setup): string => JSON.stringify(setup);
  return rest(a) === rest(b);
}

type BeginAsked = Parameters<typeof auditBegin> extends [unknown, unknown, ...infer Rest] ? Rest : never;
