import type { Comparison } from '@urvek/contract';
import type { Side, WantedCriterion } from '@urvek/core';
import { answerTo, seenStudy, type Held, type Question } from '@urvek/draw';
import {
  againstEarlier,
  Study,
  summarise,
  walkRows,
  type AgainstEarlier,
  type AuditEntry,
  type DerivedEntry,
  type NextPoint,
  type PlanBoard,
  type StageState,
} from '@urvek/study';
import * as Comlink from 'comlink';
import { entriesAtBase, keepAtBase, withThisDevice } from './entries.ts';
import * as phrases from './phrases.ts';

/**
 * Which study: a comparison, as it is sealed while its plan is blind, or as whoever sets it up and keeps
 * the key sees it.
 */
export interface Of {
  readonly id: string;
  readonly open: boolean;
}

/** What the base has worked out of each comparison, and of which state of it. */
const atBase = new Map<
  string,
  { readonly entries: ReadonlyMap<string, DerivedEntry>; readonly tag: string }
>();

const held = new Map<string, Held>();

const heldOf = (id: string): Held => {
  const found = held.get(id);
  if (!found) throw new Error(phrases.comparisonIsNotOpen(id));
  return found;
};
const studyOf = ({ id, open }: Of): Study => seenStudy(heldOf(id), open);

/** Which state of the base is here. */
export interface FetchedBase {
  readonly tag: string;
  /** Its walks were seen, now or before; where not, nobody knows how many there are. */
  readonly seen: boolean;
}

/** Out of reach, what is here stands. */
const OUT_OF_REACH = 'out of reach';

/**
 * Fetches what the base has worked out of a comparison's walks, once for a state of it. @returns the state that is
 * here
 */
async function fetchBase(id: string, tag: string | undefined): Promise<FetchedBase> {
  const here = atBase.get(id);
  if (here && (tag === undefined || tag === here.tag)) return { tag: here.tag, seen: true };
  const found = await entriesAtBase(id).catch(() => undefined);
  if (!found) return { tag: here?.tag ?? OUT_OF_REACH, seen: here !== undefined };
  // Told by none, it was kept for times without a link.
  atBase.set(id, { entries: found, tag: tag ?? OUT_OF_REACH });
  return { tag: tag ?? OUT_OF_REACH, seen: true };
}

const api = {
  fetchBase,
  keep: keepAtBase,
  /** Makes the study anew, from what was fetched and what this device has. */
  async build(comparison: Comparison): Promise<void> {
    const entries = await withThisDevice(comparison, atBase.get(comparison.id)?.entries ?? new Map());
    held.set(comparison.id, { comparison, study: new Study(comparison.setup, entries) });
  },
  /** Stages of a comparison that is not open. */
  async stages(comparison: Comparison): Promise<readonly StageState[]> {
    const entries = await withThisDevice(comparison, atBase.get(comparison.id)?.entries ?? new Map());
    return new Study(comparison.setup, entries).stages();
  },
  answer: (of: Of, question: Question): unknown => answerTo(heldOf(of.id), question, of.open),
  /** Estimates of one range by other criteria. */
  summaries: (of: Of, rangeId: string, criteria: readonly WantedCriterion[], side?: Side) => {
    const study = studyOf(of);
    const findings = study.ranges(undefined, side).find((r) => r.id === rangeId)?.findings ?? [];
    return criteria.map((c) => summarise(walkRows(findings, c, side)));
  },
  planBoard: (of: Of, setup: Comparison['setup']): PlanBoard => studyOf(of).under(setup).planBoard(),
  nextPoints: (of: Of, setup: Comparison['setup']): readonly NextPoint[] =>
    studyOf(of).under(setup).nextPoints(),
  planAudit: (of: Of, setup: Comparison['setup']): readonly AuditEntry[] =>
    studyOf(of).under(setup).planAudit(),
  beginAudit: (of: Of, ...asked: Parameters<Study['beginAudit']>): readonly AuditEntry[] =>
    studyOf(of).beginAudit(...asked),
  /** Against an earlier comparison, fetched for it. */
  async earlier(of: Of, then: Comparison): Promise<readonly AgainstEarlier[]> {
    const old = new Study(then.setup, [...(await entriesAtBase(then.id)).values()]);
    return againstEarlier(studyOf(of), old);
  },
  /** The checkpoint matrices of an earlier comparison. */
  async matrices(then: Comparison, kindId: string) {
    const old = new Study(then.setup, [...(await entriesAtBase(then.id)).values()]);
    return {
      when: old.rows[0]?.header.startedMs,
      matrices: old
        .curves('by kind')
        .filter((_, i) => old.ranges('by kind')[i]?.kindId === kindId)
        .map((c) => c.matrix),
    };
  },
};

export type StudyWorker = typeof api;
Comlink.expose(api);
