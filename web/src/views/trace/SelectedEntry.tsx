import { lagOf, positionAt, type WalkEvent } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { eventText } from '../../state/eventText.ts';
import * as phrases from './phrases.ts';

/** The entry that is pointed at: when, where and what. */
export function SelectedEntry({ finding: { trace }, event }: { finding: Finding; event: WalkEvent }) {
  const lag = lagOf(event, trace.begin.body.playoutDelayS ?? 0, trace.begin.body.delay);
  const position = positionAt(trace.fixes, event.time.walkS - lag.lagS);
  return (
    <>
      <strong>{eventText(event)}</strong>
      {phrases.pressedAt}
      <span className="figure">{event.time.walkS.toFixed(1)} s</span>
      {lag.lagS > 0 && (
        <>
          {phrases.happened}
          <span className="figure">
            {lag.lagS.toFixed(2)} ± {lag.uncertaintyS.toFixed(2)} s
          </span>
          {phrases.earlier}
        </>
      )}
      ;{' '}
      {position ? (
        <>
          {phrases.at2}
          <Length m={position.travelledM} />{' '}
          <span className="text-faint">
            {phrases.mTwoStandardUncertainties(
              (2 * Math.hypot(position.uncertaintyM, lag.uncertaintyS * position.speedMps)).toFixed(1),
            )}
          </span>
        </>
      ) : (
        phrases.atNoKnownDistance
      )}
      {phrases.deviceNumber(event.deviceId.slice(0, 4), event.seq)}
    </>
  );
}
