import { format } from 'date-fns';
import { Link } from 'react-router';
import { useComparisons, useFieldLog } from '../../api/queries.ts';
import { fieldLog, UNFILED, type KeptWalk } from '../../field/fieldLog.ts';
import { nowMs } from '../../field/time.ts';
import { discard, endWhereItStopped } from '../walk/discard.ts';
import * as phrases from './phrases.ts';

/** A joined walk is shown for so long: whether the walker ended it is not always known here. */
const JOINED_MS = 12 * 3_600_000;

/** Every walk that is under way on this device, planned, joined or begun with nothing set up. */
export function UnderWay() {
  const walks = useFieldLog(async () => {
    const own = await fieldLog.walks.where('underWay').equals(1).toArray();
    const joined = await fieldLog.walks.filter((w) => w.joined === true).toArray();
    return [...own, ...joined.filter((w) => w.header.startedMs > nowMs() - JOINED_MS)];
  }, 'under-way-here');
  const { data: comparisons } = useComparisons();
  if (!walks || walks.length === 0) return null;
  const title = (w: KeptWalk): string =>
    w.comparisonId === UNFILED
      ? phrases.begunWithNothingSetUp
      : phrases.ofText2(comparisons?.find((c) => c.id === w.comparisonId)?.title ?? phrases.aComparison);
  const goTo = (w: KeptWalk): string =>
    w.joined ? `/joined/${w.id}` : w.comparisonId === UNFILED ? '/walk-now' : `/c/${w.comparisonId}/walk`;
  return (
    <ul className="grid gap-2" aria-label={phrases.underWayOnThisDevice}>
      {walks.map((w) => (
        <li
          key={w.id}
          className="sheet flex flex-wrap items-center gap-2 border-l-4 border-l-lost px-4 py-2"
          data-under-way={w.joined ? 'joined' : 'own'}
        >
          <span className="min-w-48 flex-1">
            {w.joined ? phrases.aWalkThatThisDeviceJoined : phrases.aWalkIsNotFinished}: {title(w)},{' '}
            {format(w.header.startedMs, 'd MMMM, HH:mm')}
          </span>
          <Link className="btn" to={goTo(w)}>
            {phrases.goOn}
          </Link>
          {!w.joined && (
            <>
              <button className="btn" onClick={() => void endWhereItStopped(w)}>
                {phrases.endItWhereItStopped}
              </button>
              <button className="btn" onClick={() => void discard(w)}>
                {phrases.discard}
              </button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
