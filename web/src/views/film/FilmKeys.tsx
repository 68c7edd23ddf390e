import { kindOf, placedNames, type DistanceReading, type EventBodies, type LiveState } from '@urvek/core';
import type { Setup } from '@urvek/contract';
import { useState } from 'react';
import type { PlannedWalk } from '@urvek/study';
import { Keys } from '../walk/Ask.tsx';
import { Asked, type Asking } from '../walk/Asked.tsx';
import type { Actions } from '../walk/controlsParts.tsx';
import { EndBar } from '../walk/EndBar.tsx';
import { logActions, type PressAt } from '../walk/logActions.ts';
import { LogKeys } from '../walk/LogKeys.tsx';
import type { Log } from '../walk/modesParts.tsx';

/** The keys beside a recording; what is asked about is what is seen now, so a question pauses it. */
export function FilmKeys({
  setup,
  product,
  path,
  rigId,
  here,
  canUndo,
  press,
  logNow,
  onUndo,
  onPause,
}: {
  setup: Setup;
  product: PlannedWalk['product'];
  path: PlannedWalk['path'];
  rigId: string;
  /** Where the walk stands at the recording's moment. */
  here: LiveState;
  canUndo: boolean;
  press: PressAt;
  logNow: Log;
  onUndo: () => void;
  onPause: () => void;
}) {
  const [asking, setAsking] = useState<Asking>();
  const kind = kindOf(product.kindId);
  const ask = (next: Asking): void => {
    // What is asked about is what is seen now.
    onPause();
    setAsking(next);
  };
  const mark = (reading: DistanceReading | undefined, name?: string): void =>
    logNow('mark', {
      ...(reading ? { reading: { ...reading, pressed: true } } : {}),
      ...(name === undefined ? {} : { name }),
    });
  const finish = (reason: EventBodies['end']['reason']): void => {
    onPause();
    logNow('end', { reason });
  };
  const actions: Actions = {
    ...logActions({ state: here, press, ask }),
    j: (inputMs) => {
      if (here.grade !== 1) press('dropoutBegin', {})(inputMs);
      finish('link failed');
    },
    u: onUndo,
  };
  return (
    <div className="grid content-start gap-2">
      <Keys actions={asking ? {} : actions} />
      <Asked
        asking={asking}
        kind={kind}
        marksM={here.marksM}
        log={logNow}
        usual={here.lastReading?.method ?? path.distanceMethod}
        measured={here.lastMeasured}
        points={placedNames(path)}
        beside={{ setup, walked: { productId: product.id, rigId } }}
        open={undefined}
        onMark={mark}
        onTurned={() => undefined}
        posts={[]}
        onPost={() => undefined}
        onCounted={() => undefined}
        onEnd={finish}
        onClose={() => setAsking(undefined)}
      />
      {/* Keys beside a film are narrow: their letters have room of their own. */}
      <div className="grid content-start gap-2 [&_.pressable]:px-5" hidden={asking !== undefined}>
        <LogKeys
          actions={actions}
          mode="continuous"
          words={kind.words}
          grade={here.grade}
          post={undefined}
          due={false}
          hasWheel={false}
          turned={here.turned}
          standing={here.standing}
          hold={false}
          onDropout={press('dropoutBegin', {})}
          onBack={press('dropoutEnd', {})}
          onOtherPost={undefined}
        />
        <EndBar actions={actions} canUndo={canUndo} />
      </div>
    </div>
  );
}
