import type { WalkHeader } from '@urvek/contract';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Frame.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import { delayInForce } from '../../field/operator.ts';
import { eventTime, nowMs } from '../../field/time.ts';
import { LiveWalk } from './LiveWalk.tsx';
import { Unfinished } from './Unfinished.tsx';
import { OneTab } from './Walk.tsx';

/** Begins a walk of which nothing is known yet; nothing is asked in mid-walk that can be asked after. */
async function begin(): Promise<void> {
  const header: WalkHeader = {
    id: crypto.randomUUID(),
    comparisonId: UNFILED,
    productId: '',
    rigId: '',
    pathId: '',
    startedMs: nowMs(),
  };
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

export const WalkNow = () => (
  <OneTab>
    <Now />
  </OneTab>
);

function Now() {
  const open = useFieldLog(() => fieldLog.walks.where('underWay').equals(1).toArray(), 'under-way');
  const [live, setLive] = useState(false);
  const [error, setError] = useState<Error>();
  const begun = useRef(false);
  const found = open?.[0];
  useEffect(() => {
    if (!open || found || begun.current) return;
    begun.current = true;
    setLive(true);
    void begin().catch((cause: unknown) =>
      setError(
        new Error(
          'This device does not keep data for Urvek (private window, or storage full). Nothing was logged. Free some space or use a normal window, then begin again.',
          { cause },
        ),
      ),
    );
  }, [open, found]);
  if (error) return <Trouble error={error} />;
  if (!found) return <Loading what="the log" />;
  if (found.comparisonId !== UNFILED)
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
  return live ? (
    <LiveWalk comparison={undefined} subject={undefined} kept={found} />
  ) : (
    <Unfinished comparison={undefined} kept={found} onResume={() => setLive(true)} />
  );
}
