import * as Comlink from 'comlink';
import { useMutation, useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import {
  EMPTY_SETUP,
  type Comparison,
  type ComparisonUpdate,
  type StoredWalk,
  type WantedCriterion,
} from '@urvek/contract';
import { type Side, keyText } from '@urvek/core';
import { findWalks, type Finding, type Judgement, type PathCurves } from '@urvek/study';
import { liveQuery } from 'dexie';
import { useEffect, useMemo, useState } from 'react';
import { fieldLog } from '../field/fieldLog.ts';
import type { FindingsWorker } from '../workers/findings.worker.ts';
import { base } from './client.ts';

export const useComparisons = () => useQuery({ queryKey: ['comparisons'], queryFn: base.comparisons });

export const useComparison = (id: string, enabled = true): UseQueryResult<Comparison> =>
  useQuery({ queryKey: ['comparison', id], queryFn: () => base.comparison(id), enabled });

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

/** The value of a query over the field log, kept up to date. */
export function useFieldLog<T>(query: () => Promise<T>, key: string): T | undefined {
  const [value, setValue] = useState<T>();
  useEffect(() => {
    const subscription = liveQuery(query).subscribe({ next: setValue });
    return () => subscription.unsubscribe();
    // The query is named by its key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return value;
}

const localWalks = (comparisonId: string) => async (): Promise<StoredWalk[]> => {
  const walks = await fieldLog.walks.where({ comparisonId }).toArray();
  return Promise.all(walks.map(async (w) => ({ header: w.header, log: await fieldLog.logOf(w.id) })));
};

/** Walks at the base and on this device, one log each. */
export function useWalks(comparisonId: string): { walks: StoredWalk[] | undefined; error: Error | null } {
  const { data: atBase, error } = useQuery({
    queryKey: ['walks', comparisonId],
    queryFn: () => base.walks(comparisonId),
  });
  const here = useFieldLog(localWalks(comparisonId), comparisonId);
  const walks = useMemo(
    () => (here && (atBase || error) ? joined(atBase ?? [], here) : undefined),
    [atBase, here, error],
  );
  return { walks, error };
}

function joined(atBase: readonly StoredWalk[], here: readonly StoredWalk[]): StoredWalk[] {
  const walks = new Map<string, StoredWalk>();
  for (const { header, log } of [...atBase, ...here]) {
    const events = new Map([...(walks.get(header.id)?.log ?? []), ...log].map((e) => [keyText(e), e]));
    walks.set(header.id, { header, log: [...events.values()] });
  }
  return [...walks.values()];
}

/** All that a stage needs: the comparison, its walks, and what was worked out from each log. */
export interface Workspace {
  readonly comparison: Comparison | undefined;
  readonly walks: StoredWalk[] | undefined;
  readonly findings: Finding[] | undefined;
  readonly error: Error | null;
}

export function useWorkspace(id: string): Workspace {
  const { data: comparison, error } = useComparison(id);
  const { walks } = useWalks(id);
  const setup = comparison?.setup ?? EMPTY_SETUP;
  const findings = useMemo(() => walks && findWalks(setup, walks), [setup, walks]);
  return { comparison, walks, findings, error };
}

let worker: Comlink.Remote<FindingsWorker> | undefined;
const findingsWorker = (): Comlink.Remote<FindingsWorker> =>
  (worker ??= Comlink.wrap<FindingsWorker>(
    new Worker(new URL('../workers/findings.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** What a finding was made from. A sealed set-up, or one with something withheld, has other names under the same revision. */
const madeFrom = ({ comparison, walks }: Pick<Workspace, 'comparison' | 'walks'>) => [
  comparison?.id,
  comparison?.revision,
  comparison?.setup.products.map((p) => p.name),
  comparison?.setup.paths.map((p) => p.name),
  walks?.map((w) => `${w.header.id}:${w.log.length}`).join(),
];

/** Estimates and verdicts, computed off the page's thread; keyed by what they were made from. */
export function useFindings(
  workspace: Pick<Workspace, 'comparison' | 'walks'>,
  criterion?: WantedCriterion,
  side?: Side,
): UseQueryResult<Judgement> {
  const { comparison, walks } = workspace;
  const wanted = criterion ?? comparison?.setup.plan.criterion;
  return useQuery({
    queryKey: ['findings', ...madeFrom(workspace), wanted, side],
    enabled: comparison !== undefined && walks !== undefined,
    queryFn: () =>
      findingsWorker().find(
        (comparison as Comparison).setup,
        walks as StoredWalk[],
        wanted as WantedCriterion,
        side,
      ),
    staleTime: Infinity,
    // What was found before a change stands until what follows from it is there.
    placeholderData: (before, query) => (query?.queryKey[1] === comparison?.id ? before : undefined),
  });
}

/** The curves of stage Ranges. */
export const useCurves = (
  workspace: { readonly comparison: Comparison; readonly walks: StoredWalk[] },
  criterion: WantedCriterion,
  side?: Side,
): UseQueryResult<PathCurves[]> =>
  useQuery({
    queryKey: ['curves', ...madeFrom(workspace), criterion, side],
    queryFn: () => findingsWorker().curves(workspace.comparison.setup, workspace.walks, criterion, side),
    staleTime: Infinity,
  });
