import type { WalkHeader } from '@urvek/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import { delayInForce } from '../../field/operator.ts';
import { eventTime, nowMs } from '../../field/time.ts';
import { Unfiled } from '../bench/Unfiled.tsx';
import { notBegun } from './device.ts';
import { StorageTrouble } from './StorageTrouble.tsx';
import { Unfinished } from './Unfinished.tsx';
import { useLiveWalk } from './useLiveWalk.ts';
import * as phrases from './phrases.ts';

/** Begins a walk of which nothing is known yet; nothing is asked in mid-walk that can be asked after. */
async function begin(begun: (walkId: string) => void): Promise<void> {
  const header: WalkHeader = {
    id: crypto.randomUUID(),
    comparisonId: UNFILED,
    productId: '',
    rigId: '',
    pathId: '',
    startedMs: nowMs(),
  };
  begun(header.id);
  await fieldLog.adopt(header, 1);
  await fieldLog.append(
    header.id,
    'begin',
    {
      direction: 'mobile-to-fixed',
      mode: 'continuous',
      ...(await delayInForce()),
    },
    eventTime(0, 1),
  );
}

/** Begins a walk with nothing set up. */
export function WalkNowStage() {
  const [live, setLive] = useState<string>();
  const liveWalk = useLiveWalk();
  const open = useFieldLog(() => fieldLog.underWay(live), `under-way ${live}`);
  const [error, setError] = useState<Error>();
  if (!open) return <Loading what={phrases.theLog} />;
  const [found] = open;
  if (found && found.comparisonId !== UNFILED)
    return (
      <Stage title={phrases.walkNow}>
        <Empty title={phrases.aPlannedWalkIsNotFinished}>
          {phrases.finishItFirst}
          <Link className="underline" to={`/c/${found.comparisonId}/walk`}>
            {phrases.goToIt}
          </Link>
          .
        </Empty>
      </Stage>
    );
  if (found && live === found.id)
    return (
      liveWalk?.({ comparison: undefined, subject: undefined, kept: found }) ?? (
        <Loading what={phrases.theWalk2} />
      )
    );
  if (found) return <Unfinished comparison={undefined} kept={found} onResume={() => setLive(found.id)} />;
  const press = (): void => void begin(setLive).catch((cause: unknown) => setError(notBegun(cause)));
  return (
    <Stage title={phrases.walkNow} lead={phrases.nothingIsSetUpAndNothing}>
      <div className="grid gap-3">
        {error && <Trouble error={error} />}
        <StorageTrouble />
        <button className="btn btn-main min-h-20 w-full justify-center text-lg md:w-80" onClick={press}>
          {phrases.beginTheWalk}
        </button>
        <Unfiled />
      </div>
    </Stage>
  );
}
