import { format } from 'date-fns';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';

/** Walks begun with nothing set up that are not filed under a comparison yet. */
export function Unfiled() {
  const walks = useFieldLog(() => fieldLog.walks.where({ comparisonId: UNFILED }).toArray(), 'unfiled');
  if (!walks || walks.length === 0) return null;
  return (
    <ul className="grid gap-2">
      {walks.map((w) => (
        <li key={w.id} className="sheet border-l-4 border-l-degraded px-4 py-2">
          A walk of {format(w.header.startedMs, 'd MMMM, HH:mm')}{' '}
          {w.underWay ? (
            <>
              is not finished:{' '}
              <Link className="underline" to="/walk-now">
                go on with it
              </Link>
              .
            </>
          ) : (
            <>
              is kept on this device only:{' '}
              <Link className="underline" to={`/file/${w.id}`}>
                say what it was a walk of
              </Link>
              .
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
