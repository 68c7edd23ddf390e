import type { TakenNotebook } from '@urvek/study';
import { OutOfReach } from '../../api/client.ts';
import { Trouble } from '../../components/States.tsx';
import * as phrases from './phrases.ts';

/** What the rows come to, and the press that makes walks of them. */
export function TakeBar({
  taken,
  isStale,
  isPending,
  error,
  onTake,
}: {
  taken: TakenNotebook;
  isStale: boolean;
  isPending: boolean;
  error: Error | null;
  onTake: () => void;
}) {
  const wrong = new Set(taken.problems.map((p) => p.line)).size;
  const busy = isPending || isStale;
  return (
    <>
      <div
        className={
          'no-print sticky bottom-0 z-10 mt-3 flex flex-wrap items-center ' +
          'gap-3 border-t-2 border-ink bg-sheet px-3 py-2'
        }
      >
        <button
          type="button"
          className="btn btn-main"
          disabled={taken.walks.length === 0 || wrong > 0 || busy}
          onClick={onTake}
        >
          {isPending ? phrases.takingThem : phrases.take(phrases.countedRows(taken.rows))}
        </button>
        {wrong > 0 && taken.walks.length > 0 && (
          <button type="button" className="btn" disabled={busy} onClick={onTake}>
            {phrases.leaveHereAndTakeTheOther(wrong, taken.rows)}
          </button>
        )}
        <span className="text-faint">
          {isStale && phrases.readingTheRows}
          {phrases.countedWalks(taken.walks.length)}
          {taken.made.length > 0 && phrases.newAllElseOfThemNot(taken.made.join(', '))}
        </span>
      </div>
      {error && (
        <Trouble
          error={error instanceof OutOfReach ? new OutOfReach(phrases.theBaseDoesNotAnswerWhat) : error}
        />
      )}
    </>
  );
}
