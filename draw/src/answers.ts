import type { Comparison } from '@urvek/contract';
import type { LengthUnit, LevelReading, Side, WantedCriterion } from '@urvek/core';
import {
  leavingStudy,
  narrowed,
  viewOfJudgement,
  type AuditEntry,
  type Finding,
  type JudgementView,
  type Narrowing,
  type NextPoint,
  type PathCurves,
  type PlanBoard,
  type StageState,
  type Study,
  type WalkRow,
} from '@urvek/study';
import { walksCarry, type WalksCarry } from './report/carried.ts';
import type { ReportForm, ShownDocument } from './report/document.ts';
import { reportOf } from './report/report.ts';
import { shownOf } from './report/shown.ts';

/** What every stage shows before anything is worked out for it. */
export interface Overview {
  readonly rows: readonly WalkRow[];
  readonly sealed: boolean;
  readonly stages: readonly StageState[];
  /** Walks that other devices logged: this one may know only that they were made. */
  readonly withheld: number;
}

export interface ReportView {
  readonly document: ShownDocument;
  /** Some walk says something of a range. */
  readonly walked: boolean;
  readonly carried: WalksCarry;
  /** What is open yet: claims undecided, questions of fairness that nobody has answered. */
  readonly open: { readonly undecided: number; readonly questions: number };
  /** Some path knows where it is: there are route files. */
  readonly routes: boolean;
}

/** By which criterion and which way; absent: as the plan says. */
export interface Looked {
  readonly criterion?: WantedCriterion;
  readonly side?: Side;
}

interface ReportWanted extends Partial<Narrowing> {
  readonly form: ReportForm;
  readonly unit: LengthUnit;
  /** Whose days: a time zone of the IANA database. */
  readonly zone: string;
}

/** What stages ask of a comparison, with what it takes and what is answered: plain data both ways. */
export interface Asks {
  overview: { readonly with: object; readonly answer: Overview };
  stages: { readonly with: object; readonly answer: readonly StageState[] };
  /** The way out of every walk in bands of state, by its id. */
  bands: { readonly with: object; readonly answer: Study['bands'] };
  judgement: { readonly with: Looked; readonly answer: JudgementView };
  curves: { readonly with: Looked; readonly answer: readonly PathCurves[] };
  planBoard: { readonly with: object; readonly answer: PlanBoard };
  nextPoints: { readonly with: object; readonly answer: readonly NextPoint[] };
  planAudit: { readonly with: object; readonly answer: readonly AuditEntry[] };
  levels: { readonly with: { readonly pathId: string }; readonly answer: readonly LevelReading[] };
  unplacedNames: { readonly with: { readonly pathId: string }; readonly answer: readonly string[] };
  /** Null: no such walk. */
  finding: { readonly with: { readonly walkId: string }; readonly answer: Finding | null };
  report: { readonly with: ReportWanted; readonly answer: ReportView };
  /** The judgement as the report may tell it. */
  published: { readonly with: Partial<Narrowing>; readonly answer: JudgementView };
}

export type Ask = keyof Asks;
export type Question<K extends Ask = Ask> = { [A in K]: { readonly ask: A } & Asks[A]['with'] }[K];

/**
 * Where the base answers it, under its API: the same words from whoever asks, so that a browser can be told of it
 * before.
 */
export function addressOf(comparisonId: string, { ask, ...taken }: Question, open: boolean): string {
  const given = Object.entries({ ...taken, open: open ? 'yes' : 'no' }).filter(([, v]) => v !== undefined);
  return `/comparisons/${comparisonId}/answers/${ask}?${new URLSearchParams(given as [string, string][]).toString()}`;
}

/** A comparison with its study. */
export interface Held {
  readonly comparison: Comparison;
  readonly study: Study;
}

/** The study as it is seen: in letters while the plan is blind, but for whoever sets it up and keeps the key. */
export const seenStudy = ({ comparison, study }: Held, open: boolean): Study =>
  open ? study : (study.sealed(comparison.id) ?? study);

type Answering = {
  readonly [A in Ask]: (seen: Study, asked: Asks[A]['with'], held: Held) => Asks[A]['answer'];
};

const ANSWERING: Answering = {
  overview: (seen, _, { study }) => ({
    rows: seen.rows,
    sealed: seen !== study,
    stages: seen.stages(),
    withheld: seen.entries.filter((e) => e.withheld).length,
  }),
  stages: (seen) => seen.stages(),
  bands: (seen) => seen.bands,
  judgement: (seen, { criterion, side }) => viewOfJudgement(seen.judgement(criterion, side)),
  curves: (seen, { criterion, side }) => seen.curves(criterion, side),
  planBoard: (seen) => seen.planBoard(),
  nextPoints: (seen) => seen.nextPoints(),
  planAudit: (seen) => seen.planAudit(),
  levels: (seen, { pathId }) => seen.levels(pathId),
  unplacedNames: (seen, { pathId }) => seen.unplacedNames(pathId),
  finding: (seen, { walkId }) => seen.finding(walkId) ?? null,
  report: (seen, wanted, { comparison }) => reportView(seen, comparison, wanted),
  published: (seen, { kindId, pathId }, { comparison }) =>
    viewOfJudgement(narrowed(leaving(seen, comparison).study, { kindId, pathId }).judgement()),
};

/** The same in the page's thread and on the base. */
export const answerTo = <K extends Ask>(
  held: Held,
  question: Question<K>,
  open: boolean,
): Asks[K]['answer'] =>
  (ANSWERING[question.ask] as (s: Study, q: Question<K>, h: Held) => Asks[K]['answer'])(
    seenStudy(held, open),
    question,
    held,
  );

const leaving = (seen: Study, comparison: Comparison): ReturnType<typeof leavingStudy> =>
  leavingStudy({ ...comparison, setup: seen.setup }, seen.entries);

/** The report, without what it withholds. */
function reportView(
  seen: Study,
  comparison: Comparison,
  { form, unit, zone, kindId, pathId }: ReportWanted,
): ReportView {
  const { comparison: out, study: whole } = leaving(seen, comparison);
  const study = narrowed(whole, { kindId, pathId });
  const judged = viewOfJudgement(study.judgement());
  const days = new Intl.DateTimeFormat('en-GB', {
    ...{ day: 'numeric', month: 'long', year: 'numeric' },
    timeZone: zone,
  });
  const document = reportOf(
    {
      title: out.title,
      question: out.question,
      setup: study.setup,
      findings: study.all,
      judged,
      unit,
      day: (ms) => days.format(ms),
    },
    form,
  );
  return {
    document: shownOf(document),
    walked: judged.ranges.some((r) => r.summary.n > 0),
    carried: walksCarry(judged),
    open: {
      undecided: judged.verdicts.filter((v) => v.verdict.outcome === 'undecided').length,
      questions: judged.audits.filter((a) => a.acknowledged === undefined).length,
    },
    routes: out.setup.paths.some((p) => p.fixedEnd),
  };
}
