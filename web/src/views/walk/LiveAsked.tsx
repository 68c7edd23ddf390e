import { isNearer, placedNames, type DistanceReading, type EventBodies } from '@urvek/core';
import { Asked } from './Asked.tsx';
import type { Actions } from './controlsParts.tsx';
import type { Live } from './useLive.ts';
import * as phrases from './phrases.ts';

/** The question that stands in place of the keys of a walk under way. */
export function LiveAsked({
  live,
  actions,
  open,
  onCounted,
}: {
  live: Live;
  actions: Actions;
  /** Counted and not logged yet. */
  open: EventBodies['hits'] | undefined;
  onCounted: () => void;
}) {
  const { comparison, subject, state, logNow, ask } = live;
  const path = subject?.path;
  /** A distance that falls is asked about; one that is typed at a stand of unknown place gives it its place. */
  const onMark = (reading: DistanceReading | undefined, name?: string): void => {
    const { lastReading: before, here } = state;
    if (reading && state.standing && here && !here.body.reading)
      logNow('correction', {
        amends: { deviceId: here.deviceId, seq: here.seq },
        action: 'remeasure',
        reason: phrases.theDistanceOfThisStandEntered,
        reading: { ...reading, pressed: true },
      });
    else if (reading && before && !state.turned && !state.begin?.body.inwards && isNearer(before, reading))
      ask({ nearer: reading });
    else live.mark(reading, name);
  };
  return (
    <Asked
      asking={live.asking}
      kind={live.kind}
      marksM={state.marksM}
      log={logNow}
      usual={state.lastReading?.method ?? path?.distanceMethod ?? 'by eye'}
      measured={state.lastMeasured}
      points={path ? placedNames(path) : []}
      beside={
        comparison &&
        subject && {
          setup: comparison.setup,
          walked: { productId: subject.product.id, rigId: subject.rig.id },
        }
      }
      open={open}
      onMark={onMark}
      onTurned={(reading, back) => {
        if (back) actions.t?.(performance.now());
        live.mark(reading);
      }}
      posts={path?.checkpoints.map((c) => c.name) ?? []}
      onPost={(name, inputMs) => {
        const at = path?.checkpoints.find((c) => c.name === name);
        if (at) live.markPost(at, inputMs);
      }}
      onCounted={onCounted}
      onEnd={(reason) => void live.end(reason)}
      onClose={() => ask(undefined)}
    />
  );
}
