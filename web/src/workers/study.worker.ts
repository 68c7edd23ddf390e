import type { Comparison } from '@urvek/contract';
import type { LengthUnit, LevelReading, Side, WantedCriterion } from '@urvek/core';
import { reportOf, type ReportDocument, type ReportForm } from '@urvek/draw';
import {
  againstEarlier,
  leavingStudy,
  narrowed,
  Study,
  summarise,
  viewOfJudgement,
  walkRows,
  type AgainstEarlier,
  type AuditEntry,
  type Finding,
  type JudgementView,
  type Narrowing,
  type NextPoint,
  type PathCurves,
  type StageState,
  type WalkRow,
} from '@urvek/study';
import * as Comlink from 'comlink';
import { format } from 'date-fns';
import { entriesAtBase, withThisDevice, type AtBase } from './entries.ts';

/**
 * Which study: a comparison, as it is sealed while its plan is blind, or as whoever sets it up and keeps
 * the key sees it.
 */
export interface Of {
  readonly id: string;
  readonly open: boolean;
}

/** What every stage shows before anything is worked out for it. */
export interface Overview {
  readonly rows: readonly WalkRow[];
  readonly sealed: boolean;
  readonly stages: readonly StageState[];
  /** Walks that other devices logged: this one may know only that they were made. */
  readonly withheld: number;
}

export interface ReportView {
  readonly document: ReportDocument;
  readonly judged: JudgementView;
  /** Some path knows where it is: there are route files. */
  readonly routes: boolean;
}

interface Held {
  readonly comparison: Comparison;
  readonly study: Study;
}

const atBase = new Map<string, AtBase>();

const held = new Map<string, Held>();

const studyOf = ({ id, open }: Of): Study => {
  const found = held.get(id);
  if (!found) throw new Error(`comparison ${id} is not open`);
  return open ? found.study : (found.study.sealed(id) ?? found.study);
};

const api = {
  /**
   * Fetches what the base has worked out; what did not change is not sent again. Out of reach, what is here
   * stands. Says which state it is.
   */
  async fetchBase(id: string): Promise<string> {
    const found = await entriesAtBase(id).catch(() => undefined);
    if (found) atBase.set(id, found);
    return atBase.get(id)?.tag ?? 'out of reach';
  },
  /** Makes the study anew, from that and what this device has. */
  async build(comparison: Comparison): Promise<void> {
    const entries = await withThisDevice(comparison, atBase.get(comparison.id)?.entries ?? new Map());
    held.set(comparison.id, { comparison, study: new Study(comparison.setup, entries) });
  },
  /** Stages of a comparison that is not open. */
  async stages(comparison: Comparison): Promise<readonly StageState[]> {
    const entries = await withThisDevice(comparison, atBase.get(comparison.id)?.entries ?? new Map());
    return new Study(comparison.setup, entries).stages();
  },
  overview: (of: Of): Overview => {
    const study = studyOf(of);
    return {
      rows: study.rows,
      sealed: !of.open && study !== held.get(of.id)?.study,
      stages: study.stages(),
      withheld: study.entries.filter((e) => e.withheld).length,
    };
  },
  judgement: (of: Of, criterion?: WantedCriterion, side?: Side): JudgementView =>
    viewOfJudgement(studyOf(of).judgement(criterion, side)),
  curves: (of: Of, criterion: WantedCriterion, side?: Side): readonly PathCurves[] =>
    studyOf(of).curves(criterion, side),
  /** Estimates of one range by other criteria. */
  summaries: (of: Of, rangeId: string, criteria: readonly WantedCriterion[], side?: Side) => {
    const study = studyOf(of);
    const findings = study.ranges(undefined, side).find((r) => r.id === rangeId)?.findings ?? [];
    return criteria.map((c) => summarise(walkRows(findings, c, side)));
  },
  nextPoints: (of: Of, setup: Comparison['setup']): readonly NextPoint[] =>
    studyOf(of).under(setup).nextPoints(),
  planAudit: (of: Of, setup: Comparison['setup']): readonly AuditEntry[] =>
    studyOf(of).under(setup).planAudit(),
  beginAudit: (of: Of, ...asked: Parameters<Study['beginAudit']>): readonly AuditEntry[] =>
    studyOf(of).beginAudit(...asked),
  levels: (of: Of, pathId: string): readonly LevelReading[] => studyOf(of).levels(pathId),
  unplacedNames: (of: Of, pathId: string): readonly string[] => studyOf(of).unplacedNames(pathId),
  finding: (of: Of, walkId: string): Finding | null => studyOf(of).finding(walkId) ?? null,
  /** Against an earlier comparison, fetched for it. */
  async earlier(of: Of, then: Comparison): Promise<readonly AgainstEarlier[]> {
    const old = new Study(then.setup, [...(await entriesAtBase(then.id)).entries.values()]);
    return againstEarlier(studyOf(of), old);
  },
  /** The checkpoint matrices of an earlier comparison. */
  async matrices(then: Comparison, kindId: string) {
    const old = new Study(then.setup, [...(await entriesAtBase(then.id)).entries.values()]);
    return {
      when: old.rows[0]?.header.startedMs,
      matrices: old
        .curves('by kind')
        .filter((_, i) => old.ranges('by kind')[i]?.kindId === kindId)
        .map((c) => c.matrix),
    };
  },
  /** The report, without what it withholds; names are letters while the plan is blind. */
  report: (of: Of, form: ReportForm, unit: LengthUnit, only: Narrowing): ReportView => {
    const { comparison } = held.get(of.id) as Held;
    const seen = studyOf(of);
    const { comparison: out, study: whole } = leavingStudy(
      { ...comparison, setup: seen.setup },
      seen.entries,
    );
    const study = narrowed(whole, only);
    const judged = viewOfJudgement(study.judgement());
    const document = reportOf(
      {
        title: out.title,
        question: out.question,
        setup: study.setup,
        findings: study.all,
        judged,
        unit,
        day: (ms) => format(ms, 'd MMMM yyyy'),
      },
      form,
    );
    return { document, judged, routes: out.setup.paths.some((p) => p.fixedEnd) };
  },
};

export type StudyWorker = typeof api;
Comlink.expose(api);
