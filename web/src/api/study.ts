import type { Comparison, ComparisonState } from '@urvek/contract';
import type { Side, WantedCriterion } from '@urvek/core';
import type { Ask, Asks, Overview, Question } from '@urvek/draw';
import type { JudgementView, PathCurves, StageState } from '@urvek/study';
import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import * as Comlink from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { AT_BASE, fieldLog } from '../field/fieldLog.ts';
import type { FetchedBase, Of, StudyWorker } from '../workers/study.worker.ts';
import { base, OutOfReach } from './client.ts';
import { useComparison, useFieldLog } from './queries.ts';

let worker: Comlink.Remote<StudyWorker> | undefined;
/** The studies of this page: one worker holds them all, and answers what stages ask. */
export const studies = (): Comlink.Remote<StudyWorker> =>
  (worker ??= Comlink.wrap<StudyWorker>(
    new Worker(new URL('../workers/study.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** What this device has of a comparison's finished walks. */
interface Here {
  /** A word that changes when they do. */
  readonly state: string;
  /** How much of all logs was sent. */
  readonly sent: number;
  /** Something of them is here alone. */
  readonly own: boolean;
}

const localState = (comparisonId: string) => async (): Promise<Here> => {
  const walks = await fieldLog.walks.where({ comparisonId }).toArray();
  const unsent = await Promise.all(
    walks.map(async ({ id }) => {
      const all = await fieldLog.events.where({ walkId: id }).count();
      return all > (await fieldLog.events.where({ walkId: id, place: AT_BASE }).count());
    }),
  );
  return {
    // A walk under way is followed by its own screen; the study takes it in when it ends.
    state: walks.map((w) => `${w.id}:${w.underWay ? 'under way' : w.nextSeq}`).join(),
    sent: await fieldLog.events.where({ place: AT_BASE }).count(),
    own: unsent.includes(true),
  };
};

/** Comparisons whose study was made on this page: what is asked of them needs no link. */
const made = new Set<string>();

/** What was asked for before the stage was here to ask, of one comparison, each used once. */
const foreseen: { id?: string; state?: Promise<ComparisonState>; overview?: Promise<Overview> } = {};

/** What every stage begins with is on its way while the stage itself is fetched. */
export function foresee(id: string): void {
  foreseen.id = id;
  foreseen.state = base.state(id);
  foreseen.state.then(
    ({ answers }) => {
      if (!answers) studies();
      else {
        foreseen.overview = base.answer(id, { ask: 'overview' }, true);
        foreseen.overview.catch(() => undefined);
      }
    },
    () => studies(),
  );
}

/** Where the base answers itself, nothing is fetched before it is wanted. */
async function atBase(id: string): Promise<ComparisonState & Pick<FetchedBase, 'seen'>> {
  const early = foreseen.id === id ? foreseen.state : undefined;
  foreseen.state = undefined;
  const state = await (early ?? base.state(id)).catch(() => undefined);
  if (state?.answers && !made.has(id)) return { ...state, seen: true };
  return { ...(await studies().fetchBase(id, state?.tag)), answers: false };
}

/** What a study was made from: its name among queries, and the comparison itself. */
export interface MadeFrom {
  readonly key: readonly unknown[];
  readonly comparison: Comparison | undefined;
  /** The base answers for it, and this device has nothing of its own to say. */
  readonly answered: boolean;
}

/** What a stage asks with. */
export interface Asked {
  readonly of: Of;
  readonly madeFrom: MadeFrom;
}

export interface Workspace extends Asked {
  readonly comparison: Comparison | undefined;
  readonly overview: Overview | undefined;
  /** Something changed, and what it comes to is on its way. */
  readonly settling: boolean;
  /** Walks at the base were not seen by this device yet: it knows of its own only. */
  readonly unseen: boolean;
  readonly error: Error | null;
}

/** A comparison and its study: asked anew when the base, the set-up or this device's logs have changed. */
export function useWorkspace(id: string, open = false): Workspace {
  const { data: comparison, error } = useComparison(id);
  const here = useFieldLog(localState(id), id);
  const { data: there, isFetching } = useQuery({
    // Another path, or another place of a point, is another finding there.
    queryKey: ['walks', id, here?.sent ?? 0, comparison?.revision],
    enabled: comparison !== undefined || error !== null,
    queryFn: () => atBase(id),
    // What did not come is asked for again: a walk goes on meanwhile.
    refetchInterval: ({ state }) => (state.data?.seen === false ? UNSEEN_AGAIN_MS : false),
    placeholderData: (before, query) => (query?.queryKey[1] === id ? before : undefined),
  });
  // Only a blind plan is seen otherwise by whoever keeps the key.
  const openly = open || comparison?.setup.plan.blind !== true;
  const of = useMemo(() => ({ id, open: openly }), [id, openly]);
  // Storage is slow to open: what the base says is shown meanwhile.
  const answered = there?.answers === true && here?.own !== true;
  const state = here?.state ?? '';
  const madeFrom = useMemo(
    () => ({ key: ['study', id, comparison?.revision, there?.tag, state], comparison, answered }),
    [id, comparison, there?.tag, state, answered],
  );
  const {
    data: overview,
    error: failed,
    isPlaceholderData,
  } = useAnswer(
    { of, madeFrom },
    { ask: 'overview' },
    comparison !== undefined && there !== undefined && (answered || here !== undefined),
  );
  // What cannot be worked out anew, as on a full disk, takes nothing away that is shown: a walk goes on under it.
  const [shown, setShown] = useState<{ readonly id: string; readonly overview: Overview }>();
  if (overview && shown?.overview !== overview) setShown({ id, overview });
  const before = shown?.id === id ? shown.overview : undefined;
  const seen = overview !== undefined;
  // What comes next is asked of the study: it is made once the page has something to show.
  useEffect(() => {
    if (!seen || !answered || made.has(id)) return undefined;
    const timer = setTimeout(() => void built(madeFrom).catch(() => undefined), AFTER_FIRST_MS);
    return () => clearTimeout(timer);
  }, [seen, answered, id, madeFrom]);
  const settling = isFetching || isPlaceholderData;
  const unseen = there?.seen === false;
  return { comparison, overview: overview ?? before, settling, unseen, of, madeFrom, error: error ?? failed };
}

/** Walks that did not come are asked for again after so long. */
const UNSEEN_AGAIN_MS = 10_000;
/** The stage has drawn what came first by then. */
const AFTER_FIRST_MS = 1500;

/** How far each stage is, for lists of comparisons: the study is made for it and not kept. */
export function useStages(id: string): UseQueryResult<readonly StageState[]> {
  const { data: comparison } = useComparison(id);
  const here = useFieldLog(localState(id), id);
  return useQuery({
    queryKey: ['stages', id, comparison?.revision, here?.sent, here?.state],
    enabled: comparison !== undefined && here !== undefined,
    queryFn: async () => {
      const { answers } = await atBase(id);
      if (answers && here?.own === false) return base.answer(id, { ask: 'stages' }, true);
      return studies().stages(comparison as Comparison);
    },
  });
}

/** The study is built once for what it is made from, whoever asks first. */
let building: { key: string; done: Promise<void> } | undefined;
function built(madeFrom: MadeFrom): Promise<void> {
  const name = JSON.stringify(madeFrom.key);
  if (building?.key !== name && madeFrom.comparison) {
    const done = build(madeFrom.comparison, madeFrom);
    building = { key: name, done };
    // Whoever asks next tries again.
    done.catch(() => {
      if (building?.done === done) building = undefined;
    });
  }
  return building?.done ?? Promise.resolve();
}

/** @throws OutOfReach where walks that the base has, and has told of, do not come: without them it would say less */
async function build(comparison: Comparison, { key, answered }: MadeFrom): Promise<void> {
  const tag = key[3] as string;
  // Beside the work of drawing what comes first it would be in the way.
  await new Promise((resolve) => requestIdleCallback(resolve, { timeout: AFTER_FIRST_MS }));
  const { tag: here } = await studies().fetchBase(comparison.id, tag);
  if (answered && here !== tag) throw new OutOfReach();
  await studies().build(comparison);
  made.add(comparison.id);
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

function askedOf<K extends Ask>({ id, open }: Of, question: Question<K>): Promise<Asks[K]['answer']> {
  const { overview } = foreseen;
  if (!overview || foreseen.id !== id || question.ask !== 'overview' || !open)
    return base.answer(id, question, open);
  foreseen.overview = undefined;
  return overview as Promise<Asks[K]['answer']>;
}

/** An answer to what a stage asks: by the base where it answers and no study was made here yet. */
export function useAnswer<K extends Ask>(
  { of, madeFrom }: Asked,
  question: Question<K>,
  enabled = true,
): UseQueryResult<Asks[K]['answer']> {
  const queryKey = [...madeFrom.key, of.open, question.ask, question];
  return useQuery<Asks[K]['answer']>({
    queryKey,
    enabled,
    queryFn: async () => {
      if (madeFrom.answered && !made.has(of.id)) {
        const answer = await askedOf(of, question).catch(() => undefined);
        if (answer !== undefined) return answer;
      }
      await built(madeFrom);
      return (await studies().answer(of, question as unknown as Question)) as Asks[K]['answer'];
    },
    staleTime: Infinity,
    placeholderData: ((before: unknown, query?: { readonly queryKey: readonly unknown[] }) =>
      // Of the same question, or of another wording of it.
      query?.queryKey[1] === of.id && query.queryKey.at(-2) === question.ask ? before : undefined) as never,
  });
}

/** Estimates and verdicts. */
export const useJudgement = (
  asked: Asked,
  criterion?: WantedCriterion,
  side?: Side,
): UseQueryResult<JudgementView> => useAnswer(asked, { ask: 'judgement', criterion, side });

/** The curves of stage Ranges. */
export const useCurves = (
  asked: Asked,
  criterion?: WantedCriterion,
  side?: Side,
  enabled?: boolean,
): UseQueryResult<readonly PathCurves[]> => useAnswer(asked, { ask: 'curves', criterion, side }, enabled);
