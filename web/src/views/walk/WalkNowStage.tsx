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
  if (!open) return <Loading what="the log" />;
  const [found] = open;
  if (found && found.comparisonId !== UNFILED)
    return (
      <Stage title="Walk now">
        <Empty title="A planned walk is not finished">
          Finish it first:{' '}
          <Link className="underline" to={`/c/${found.comparisonId}/walk`}>
            go to it
          </Link>
          .
        </Empty>
      </Stage>
    );
  if (found && live === found.id)
    return (
      liveWalk?.({ comparison: undefined, subject: undefined, kept: found }) ?? <Loading what="the walk" />
    );
  if (found) return <Unfinished comparison={undefined} kept={found} onResume={() => setLive(found.id)} />;
  const press = (): void => void begin(setLive).catch((cause: unknown) => setError(notBegun(cause)));
  return (
    <Stage
      title="Walk now"
      lead="Nothing is set up and nothing is asked: the press begins, and what it was a walk of is said afterwards."
    >
      <div className="grid gap-3">
        {error && <Trouble error={error} />}
        <StorageTrouble />
        <button className="btn btn-main min-h-20 w-full justify-center text-lg md:w-80" onClick={press}>
          Begin the walk
        </button>
        <Unfiled />
      </div>
    </Stage>
  );
}
