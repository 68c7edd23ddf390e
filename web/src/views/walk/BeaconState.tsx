import { formatLength, type CodesTold } from '@urvek/core';
import { useUnit } from '../../state/unit.ts';
import type { BeaconSeen } from './useReceiving.ts';
import * as phrases from './phrases.ts';

/** How late codes came, s, with its standard uncertainty; undefined where their sender's clock is not known here. */
export type LateOf = (told: CodesTold) => { readonly lateS: number; readonly uS: number } | undefined;

interface Shown {
  readonly beacon: BeaconSeen;
  readonly of: CodesTold['carriedBy'];
  readonly lateOf: LateOf | undefined;
}

/** What the beacon says: that it is read, how far away its sender is, how late the picture or sound comes. */
export function BeaconState({ beacon, of, lateOf }: Shown) {
  const [unit] = useUnit();
  if (typeof beacon === 'string')
    return (
      <p role="status" className="basis-full border-l-4 border-degraded pl-2" data-beacon={beacon}>
        {beacon === 'unread' ? phrases.theBeaconIsNotReadAnyMore : phrases.aBeaconOfAnotherWalk(of)}
      </p>
    );
  const { carriedBy, codes, separation } = beacon;
  const late = lateOf?.(beacon);
  return (
    <p role="status" className="basis-full border-l-4 border-clear pl-2" data-beacon="read">
      {[
        carriedBy === 'picture' ? phrases.beaconRead(phrases.countedCodes(codes)) : phrases.beaconHeard,
        separation &&
          phrases.saysItIsAway(formatLength(separation.m, unit), formatLength(separation.uM, unit)),
        late && phrases.lateBy((1000 * late.lateS).toFixed(0), (1000 * late.uS).toFixed(0)),
      ]
        .filter(Boolean)
        .join(', ')}
    </p>
  );
}
