import type { Comparison } from '@urvek/contract';
import { seal, type WalkRow } from '@urvek/study';
import { useMemo, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { isShutOut } from '../api/client.ts';
import { useWorkspace, type Workspace } from '../api/study.ts';
import { Later } from './Later.tsx';
import { Loading, Trouble } from './States.tsx';
import * as phrases from './phrases.ts';

export const useComparisonId = (): string => useParams<{ id: string }>().id ?? '';

/** What a stage begins with; the rest it asks of the study. */
export interface Ready extends Pick<Workspace, 'of' | 'madeFrom' | 'settling'> {
  readonly id: string;
  readonly comparison: Comparison;
  /** Every walk in a line. */
  readonly walks: readonly WalkRow[];
  /** Names are letters here: nothing of the set-up may be saved from it. */
  readonly sealed: boolean;
}

/**
 * Waits for the workspace, and shows what went wrong when it does not come. While the plan is blind and its
 * walks are not all in, stages see letters for names; `open` is for those that set up and keep the key.
 */
export function WithWorkspace({
  open = false,
  children,
}: {
  open?: boolean;
  children: (workspace: Ready) => ReactNode;
}) {
  const id = useComparisonId();
  const { comparison, overview, settling, unseen, of, madeFrom, error } = useWorkspace(id, open);
  const shown = useMemo(
    () =>
      comparison && overview?.sealed ? { ...comparison, setup: seal(comparison.setup, id) } : comparison,
    [comparison, overview?.sealed, id],
  );
  if (error && !overview) return isShutOut(error) ? null : <Trouble error={error} />;
  if (!shown || !overview) return <Loading what={phrases.theComparison} />;
  const { sealed, rows, withheld } = overview;
  return (
    <>
      {sealed && (
        <p role="status" className="no-print bg-degraded px-4 py-1 text-white">
          {phrases.blindProductsAreLettersUntilAll}
        </p>
      )}
      {unseen && (
        <p role="status" className="no-print bg-cover px-4 py-1">
          {phrases.walksAtTheBaseNotSeen}
        </p>
      )}
      {withheld > 0 && (
        <p role="status" className="no-print bg-cover px-4 py-1">
          {phrases.thisDeviceReadsItsOwnWalks(withheld)}
        </p>
      )}
      <Later waiting={<Loading what={phrases.theComparison} />}>
        {() => children({ id, comparison: shown, walks: rows, settling, of, madeFrom, sealed })}
      </Later>
    </>
  );
}
