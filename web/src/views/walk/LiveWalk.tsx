import type { Comparison } from '@urvek/contract';
import type { EventBodies } from '@urvek/core';
import type { PlannedWalk } from '@urvek/study';
import { useState } from 'react';
import { Tape } from '../../components/Tape.tsx';
import type { KeptWalk } from '../../field/fieldLog.ts';
import { Keys } from './Ask.tsx';
import { Letters } from './keyLetters.ts';
import { LastEvents } from './LastEvents.tsx';
import { liveActions } from './liveActions.ts';
import { LiveAsked } from './LiveAsked.tsx';
import { LiveExtras } from './LiveExtras.tsx';
import { LiveGear } from './LiveGear.tsx';
import { LiveHead } from './LiveHead.tsx';
import { LiveKeys } from './LiveKeys.tsx';
import { LivePrompts } from './LivePrompts.tsx';
import { LiveTroubles } from './LiveTroubles.tsx';
import { useLive } from './useLive.ts';
import { useLiveTape } from './useLiveTape.ts';
import { useWalkingLook } from './useWalkingLook.ts';
import * as phrases from './phrases.ts';

/**
 * A walk under way: what is noticed is pressed, what is pressed is kept. `subject` is absent on a walk
 * begun with nothing set up.
 */
export function LiveWalk({
  comparison,
  subject,
  kept,
}: {
  comparison: Comparison | undefined;
  subject: PlannedWalk | undefined;
  kept: KeptWalk;
}) {
  const live = useLive(comparison, subject, kept);
  const { ground, lanes } = useLiveTape(live.log, live.state, subject?.path);
  const [openCount, setOpenCount] = useState<EventBodies['hits']>();
  const [settled, setSettled] = useState(0);
  const { keys, leftHand, letters, sun } = live.options;
  useWalkingLook(sun);
  if (!live.begun) return null;
  const actions = liveActions(live);
  return (
    <Letters value={letters}>
      <main
        id="work"
        className={`mx-auto w-full max-w-[1240px] px-3 py-2 ${leftHand ? 'left-hand' : ''} ${keys ? '' : 'no-keys'}`}
      >
        <Keys actions={live.asking || !keys ? {} : actions} />
        <LiveHead live={live} />
        <LiveTroubles live={live} />
        <LiveExtras live={live} />
        <div className="sheet mt-2 px-3 py-1">
          <Tape
            title={phrases.theWalkSoFarOnThe}
            ground={ground}
            measure="travelled"
            lanes={lanes}
            hereM={live.where.hereM}
          />
        </div>
        <div className="mt-2 grid gap-2 md:grid-cols-[300px_1fr]">
          <div className="grid content-start gap-1">
            <LiveGear live={live} />
            <LivePrompts live={live} />
          </div>
          <div className="grid content-start gap-2">
            <Letters value={undefined}>
              <LiveAsked
                live={live}
                actions={actions}
                open={openCount}
                onCounted={() => {
                  setOpenCount(undefined);
                  setSettled((n) => n + 1);
                }}
              />
            </Letters>
            <LiveKeys live={live} actions={actions} settled={settled} onOpenCount={setOpenCount} />
          </div>
        </div>
        {live.mode === 'drive' && (
          <p className="mt-1 text-[0.87rem]">{phrases.aPassengerLogsOrNobodyReads}</p>
        )}
        <LastEvents log={live.log} />
      </main>
    </Letters>
  );
}
