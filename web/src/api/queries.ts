import type { Comparison, ComparisonUpdate } from '@urvek/contract';
import type { Side, WalkEvent, WantedCriterion } from '@urvek/core';
import type { JudgementView, PathCurves, StageState } from '@urvek/study';
import { useMutation, useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import * as Comlink from 'comlink';
import { liveQuery } from 'dexie';
import { useEffect, useMemo, useState } from 'react';
import { AT_BASE, fieldLog } from '../field/fieldLog.ts';
import { joinedLog } from '../workers/entries.ts';
import type { Of, Overview, StudyWorker } from '../workers/study.worker.ts';
import { base } from './client.ts';

export const useComparisons = () => useQuery({ queryKey: ['comparisons'], queryFn: base.comparisons });

/** A comparison, as it is asked for and kept. */
export const comparisonQuery = (id: string) => ({
  queryKey: ['comparison', id],
  queryFn: () => base.comparison(id),
});

export const useComparison = (id: string, enabled = true): UseQueryResult<Comparison> =>
  useQuery({ ...comparisonQuery(id), enabled });

/** Replaces the set-up; resolves with what it replaced, for undo. */
export function useSaveComparison(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (update: ComparisonUpdate) => base.update(id, update),
    onSuccess: (comparison) => {
      client.setQueryData(['comparison', id], comparison);
      void client.invalidateQueries({ queryKey: ['comparisons'] });
    },
  });
}

/** After a full disk closed the log, or the browser cleared it, a query over it is asked again so soon. */
const ASK_AGAIN_MS = 500;

/** The value of a query over the field log, kept up to date. */
export function useFieldLog<T>(query: () => Promise<T>, key: string): T | undefined {
  const [value, setValue] = useState<T>();
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout> | undefined;
    // A log that was closed under the query is asked again: the session opens it anew.
    const ask = (): { unsubscribe(): void } =>
      liveQuery(query).subscribe({
        next: setValue,
        error: () => {
          waiting = setTimeout(() => (subscription = ask()), ASK_AGAIN_MS);
        },
      });
    let subscription = ask();
    return () => {
      clearTimeout(waiting);
      subscription.unsubscribe();
    };
    // The query is named by its key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return value;
}

let worker: Comlink.Remote<StudyWorker> | undefined;
/** The studies of this page: one worker holds them all, and answers what stages ask. */
export const studies = (): Comlink.Remote<StudyWorker> =>
  (worker ??= Comlink.wrap<StudyWorker>(
    new Worker(new URL('../workers/study.worker.ts', import.meta.url), { type: 'module' }),
  ));

/**
 * What this device has of a comparison's finished walks, in a word that changes when it does, and how much
 * of all was sent.
 */
const localState = (comparisonId: string) => async (): Promise<{ state: string; sent: number }> => ({
  state: (await fieldLog.walks.where({ comparisonId }).toArray())
    // A walk under way is followed by its own screen; the study takes it in when it ends.
    .map((w) => `${w.id}:${w.underWay ? 'under way' : w.nextSeq}`)
    .join(),
  sent: await fieldLog.events.where({ place: AT_BASE }).count(),
});

/** What a study was made from: its name among queries, and the comparison itself. */
export interface MadeFrom {
  readonly key: readonly unknown[];
  readonly comparison: Comparison | undefined;
}

/** What a stage asks with. */
export interface Asked {
  readonly of: Of;
  readonly madeFrom: MadeFrom;
}

export interface Workspace extends Asked {
  readonly comparison: Comparison | undefined;
  readonly overview: Overview | undefined;
  readonly error: Error | null;
}

/** A comparison and its study: asked anew when the base, the set-up or this device's logs have changed. */
export function useWorkspace(id: string, open = false): Workspace {
  const { data: comparison, error } = useComparison(id);
  const here = useFieldLog(localState(id), id);
  const { data: atBase } = useQuery({
    // Another path, or another place of a point, is another finding there.
    queryKey: ['walks', id, here?.sent, comparison?.revision],
    enabled: here !== undefined && (comparison !== undefined || error !== null),
    queryFn: () => studies().fetchBase(id),
    placeholderData: (before, query) => (query?.queryKey[1] === id ? before : undefined),
  });
  const of = useMemo(() => ({ id, open }), [id, open]);
  const madeFrom = useMemo(
    () => ({ key: ['study', id, comparison?.revision, atBase, here?.state], comparison }),
    [id, comparison, atBase, here?.state],
  );
  const { data: overview, error: failed } = useStudy(
    { of, madeFrom },
    ['overview'],
    (study) => study.overview(of),
    comparison !== undefined && atBase !== undefined && here !== undefined,
  );
  return { comparison, overview, of, madeFrom, error: error ?? failed };
}

/** How far each stage is, for lists of comparisons: the study is made for it and not kept. */
export function useStages(id: string): UseQueryResult<readonly StageState[]> {
  const { data: comparison } = useComparison(id);
  const here = useFieldLog(localState(id), id);
  return useQuery({
    queryKey: ['stages', id, comparison?.revision, here?.sent, here?.state],
    enabled: comparison !== undefined && here !== undefined,
    queryFn: async () => {
      await studies().fetchBase(id);
      return studies().stages(comparison as Comparison);
    },
  });
}

/** The study is built once for what it is made from, whoever asks first. */
let building: { key: string; done: Promise<void> } | undefined;
function built({ key, comparison }: MadeFrom): Promise<void> {
  const name = JSON.stringify(key);
  if (building?.key !== name && comparison) building = { key: name, done: studies().build(comparison) };
  return building?.done ?? Promise.resolve();
}

/**
 * What was answered before stands until the next is there: for the same comparison and the same kind of
 * question.
 */
const keepFor =
  (id: string, length: number) =>
  <T>(before: T | undefined, query?: { readonly queryKey: readonly unknown[] }): T | undefined =>
    query?.queryKey[1] === id && query.queryKey.length === length ? before : undefined;

/**
 * An answer of the study, by a name for what is asked; kept until what it was made from changes, and shown
 * until the next is there.
 */
export function useStudy<T>(
  { of, madeFrom }: Asked,
  question: readonly unknown[],
  ask: (study: Comlink.Remote<StudyWorker>, of: Of) => Promise<T>,
  enabled = true,
): UseQueryResult<T> {
  const queryKey = [...madeFrom.key, of.open, ...question];
  return useQuery({
    queryKey,
    enabled,
    queryFn: async () => {
      await built(madeFrom);
      return ask(studies(), of);
    },
    staleTime: Infinity,
    // The library cannot tell that an answer is no function.
    placeholderData: keepFor(of.id, queryKey.length) as never,
  });
}

/** Estimates and verdicts. */
export const useJudgement = (
  asked: Asked,
  criterion?: WantedCriterion,
  side?: Side,
): UseQueryResult<JudgementView> =>
  useStudy(asked, ['judgement', criterion, side], (study, of) => study.judgement(of, criterion, side));

/** The curves of stage Ranges. */
export const useCurves = (
  asked: Asked,
  criterion: WantedCriterion,
  side?: Side,
): UseQueryResult<readonly PathCurves[]> =>
  useStudy(asked, ['curves', criterion, side], (study, of) => study.curves(of, criterion, side));

/** One walk's whole log: what the base has of it, and what this device has. */
export function useLog(walkId: string | undefined): readonly WalkEvent[] | undefined {
  const { data: there, error } = useQuery({
    queryKey: ['log', walkId],
    enabled: walkId !== undefined,
    queryFn: () => base.events(walkId as string),
  });
  const here = useFieldLog(() => fieldLog.logOf(walkId ?? ''), `log ${walkId}`);
  return useMemo(
    () => (here && (there || error) ? joinedLog(there ?? [], here) : undefined),
    [there, error, here],
  );
}
