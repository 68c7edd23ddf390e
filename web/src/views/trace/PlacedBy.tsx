import { type WalkEvent } from '@urvek/core';
import { Choice, Field } from '../../components/Field.tsx';
import { eventText } from '../../state/eventText.ts';
import * as phrases from './phrases.ts';

/** Where readings of a file belong: at one stand, or each by the file's clock. */
export const PlacedBy = ({
  timed,
  byClock,
  onByClock: setByClock,
  offset,
  onOffset: setOffset,
  stands,
  after,
  onAfter: setAfter,
}: {
  /** File and walk both know the hour. */
  timed: boolean;
  byClock: boolean;
  onByClock: (byClock: boolean) => void;
  offset: string;
  onOffset: (offset: string) => void;
  stands: readonly WalkEvent[];
  after: number;
  onAfter: (nth: number) => void;
}) => (
  <>
    {timed && (
      <Choice
        label={phrases.placed}
        value={byClock ? 'clock' : 'stand'}
        onChange={(e) => setByClock(e.target.value === 'clock')}
      >
        <option value="stand">{phrases.atOneStand}</option>
        <option value="clock">{phrases.byItsClockOnTheMove}</option>
      </Choice>
    )}
    {timed && byClock ? (
      <Field
        label={phrases.itsClockIsBehindTheWalks}
        suffix="s"
        inputMode="decimal"
        value={offset}
        onChange={(e) => setOffset(e.target.value)}
      />
    ) : (
      <Choice label={phrases.at} value={after} onChange={(e) => setAfter(Number(e.target.value))}>
        {stands.map((e, i) => (
          <option key={`${e.deviceId}:${e.seq}`} value={i}>
            {eventText(e).slice(0, 70)}
          </option>
        ))}
      </Choice>
    )}
  </>
);
