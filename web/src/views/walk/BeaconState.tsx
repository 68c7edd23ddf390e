import { formatLength, type CodesTold } from '@urvek/core';
import { useUnit } from '../../state/unit.ts';
import type { BeaconSeen } from './useReceiving.ts';
import * as phrases from './phrases.ts';

/** How late codes came, s, with its standard uncertainty; undefined where their sender's clock is not known here. */
export type LateOf = (told: CodesTold) => { readonly lateS: number; readonly uS: number } | undefined;

/** What the beacon in the picture says: that it is read, how far away its sender is, how late the picture comes. */
export function BeaconState({ beacon, lateOf }: { beacon: BeaconSeen; lateOf: LateOf | undefined }) {
  const [unit] = useUnit();
  if (typeof beacon === 'string')
    return (
      <p role="status" className="basis-full border-l-4 border-degraded pl-2" data-beacon={beacon}>
        {beacon === 'unread' ? phrases.theBeaconIsNotReadAnyMore : phrases.aBeaconOfAnotherWalk}
      </p>
    );
  const { codes, separation } = beacon;
  const late = lateOf?.(beacon);
  return (
    <p role="status" className="basis-full border-l-4 border-clear pl-2" data-beacon="read">
      {[
        phrases.beaconRead(phrases.countedCodes(codes)),
        separation &&
          phrases.saysItIsAway(formatLength(separation.m, unit), formatLength(separation.uM, unit)),
        late && phrases.lateBy((1000 * late.lateS).toFixed(0), (1000 * late.uS).toFixed(0)),
      ]
        .filter(Boolean)
        .join(', ')}
    </p>
  );
}
