import { format } from 'date-fns';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import * as phrases from './phrases.ts';

/** Walks begun with nothing set up that are not filed under a comparison yet. */
export function Unfiled() {
  const walks = useFieldLog(async () => {
    const unfiled = await fieldLog.walks
      .where({ comparisonId: UNFILED })
      .filter((w) => w.underWay === 0)
      .toArray();
    const discarded = await Promise.all(
      unfiled.map(async (w) => (await fieldLog.logOf(w.id)).some((e) => e.kind === 'leftOut')),
    );
    return unfiled.filter((_, i) => !discarded[i]);
  }, 'unfiled');
  if (!walks || walks.length === 0) return null;
  return (
    <ul className="grid gap-2">
      {walks.map((w) => (
        <li key={w.id} className="sheet border-l-4 border-l-degraded px-4 py-2">
          {phrases.aWalkOfIsKeptOn(format(w.header.startedMs, 'd MMMM, HH:mm'))}
          <Link className="underline" to={`/file/${w.id}`}>
            {phrases.sayWhatItWasAWalk}
          </Link>
          .
        </li>
      ))}
    </ul>
  );
}
