import { useState } from 'react';
import { Link } from 'react-router';
import { useFieldLog } from '../../api/queries.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Empty, Loading } from '../../components/States.tsx';
import { fieldLog, UNFILED } from '../../field/fieldLog.ts';
import { Begin } from './Begin.tsx';
import { subjectOf } from './subject.ts';
import { Unfinished } from './Unfinished.tsx';
import { useLiveWalk } from './useLiveWalk.ts';
import * as phrases from './phrases.ts';

/** The walk under way, or the next one. */
export function WalkStage(workspace: Ready) {
  const { id, comparison } = workspace;
  const [live, setLive] = useState<string>();
  const liveWalk = useLiveWalk();
  const openWalks = useFieldLog(() => fieldLog.underWay(live), `under-way ${live}`);
  if (!openWalks) return null;
  const open = openWalks.find((w) => w.comparisonId === id);
  const elsewhere = openWalks.find((w) => w.comparisonId !== id);
  if (open && live === open.id)
    return (
      liveWalk?.({ comparison, subject: subjectOf(comparison, open), kept: open }) ?? (
        <Loading what={phrases.theWalk2} />
      )
    );
  if (open) return <Unfinished comparison={comparison} kept={open} onResume={() => setLive(open.id)} />;
  if (elsewhere)
    return (
      <Stage title={phrases.walk}>
        <Empty title={phrases.aWalkOfAnotherComparisonIs}>
          {phrases.finishItFirst}
          <Link
            className="underline"
            to={elsewhere.comparisonId === UNFILED ? '/walk-now' : `/c/${elsewhere.comparisonId}/walk`}
          >
            {phrases.goToIt}
          </Link>
          .
        </Empty>
      </Stage>
    );
  return <Begin workspace={workspace} onBegin={setLive} />;
}
