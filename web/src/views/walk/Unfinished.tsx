import type { Comparison } from '@urvek/contract';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import { fieldLog, type KeptWalk } from '../../field/fieldLog.ts';
import { eventTime } from '../../field/time.ts';
import { discard, endWhereItStopped } from './discard.ts';
import { saveLog } from './saveLog.ts';
import { subjectOf } from './subject.ts';
import * as phrases from './phrases.ts';

/** Offers to go on with a walk that a reload, a crash or a closed tab cut short. */
export function Unfinished({
  comparison,
  kept,
  onResume,
}: {
  comparison: Comparison | undefined;
  kept: KeptWalk;
  onResume: () => void;
}) {
  const log = useFieldLog(() => fieldLog.logOf(kept.id), kept.id);
  const last = log?.at(-1);
  const resume = async (): Promise<void> => {
    // Time in which nothing could be logged is a gap, not silence.
    if (last)
      await fieldLog.append(
        kept.id,
        'gap',
        { fromWallMs: last.time.wallMs },
        eventTime(last.time.walkS, last.time.rate),
      );
    onResume();
  };
  const subject = comparison && subjectOf(comparison, kept);
  return (
    <Stage title={phrases.walk}>
      <div className="sheet grid gap-3 p-6">
        <h2>{phrases.aWalkIsNotFinished}</h2>
        <p>
          {phrases.eventsAreKeptOnThisDevice(
            comparison
              ? phrases.on2(
                  subject?.product.name ?? phrases.aProductSinceRemoved,
                  subject?.path.name ?? phrases.aPathSinceRemoved,
                )
              : phrases.begunWithNothingSetUp,
            log?.length ?? 0,
          )}
        </p>
        <div className="flex flex-wrap gap-2">
          {(subject || !comparison) && (
            <button className="btn btn-main" onClick={() => void resume()}>
              {phrases.goOnWithIt}
            </button>
          )}
          <button className="btn" disabled={!log} onClick={() => log && saveLog(kept.header, log)}>
            {phrases.saveTheLogAsAFile}
          </button>
          <button className="btn" disabled={!last} onClick={() => void endWhereItStopped(kept)}>
            {phrases.endItWhereItStopped}
          </button>
          <button className="btn" disabled={!last} onClick={() => void discard(kept)}>
            {phrases.discardItBegunByMistake}
          </button>
        </div>
      </div>
    </Stage>
  );
}
