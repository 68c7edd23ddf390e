import type { Comparison, ComparisonUpdate } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { useMutation, useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { liveQuery } from 'dexie';
import { useEffect, useMemo, useState } from 'react';
import { fieldLog } from '../field/fieldLog.ts';
import { joinedLog } from '../workers/entries.ts';
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
