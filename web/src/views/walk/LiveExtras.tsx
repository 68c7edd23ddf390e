import { lazy, Suspense } from 'react';
import { OtherDevices } from './OtherDevices.tsx';
import type { AddEntry } from './receivedLog.ts';
import type { Live } from './useLive.ts';

/** Rarely wanted, and it brings a picture of a code along. */
const SecondDevice = lazy(() => import('./SecondDevice.tsx').then((m) => ({ default: m.SecondDevice })));
/** Its connections and channels come along when it is wanted. */
const ProbeStrip = lazy(() => import('./ProbeStrip.tsx').then((m) => ({ default: m.ProbeStrip })));
const Listen = lazy(() => import('./Listen.tsx').then((m) => ({ default: m.Listen })));

const Watch = lazy(() => import('./Watch.tsx').then((m) => ({ default: m.Watch })));
const SerialGear = lazy(() => import('./SerialGear.tsx').then((m) => ({ default: m.SerialGear })));

/** What was opened beside the keys: a second device, listening, watching, gear on a wire, the probe. */
export function LiveExtras({ live }: { live: Live }) {
  const { extras, state, gear, logNow, close } = live;
  const add: AddEntry = (kind, body, inputMs, automatic) =>
    void live.entries.add(kind, body, gear.walkS(inputMs), inputMs, automatic);
  // Once another device is expected.
  const watched = extras.has('second device') || state.clocks > 0 ? state.begin?.deviceId : undefined;
  return (
    <Suspense>
      {watched && <OtherDevices walkId={live.kept.id} deviceId={watched} words={live.kind.words} />}
      {extras.has('second device') && (
        <SecondDevice
          walkId={live.kept.id}
          shared={state.shared}
          onShared={() => logNow('shared', { count: state.shared + 1 })}
          onClose={() => close('second device')}
        />
      )}
      {extras.has('listen') && <Listen session={live.session} add={add} />}
      {extras.has('watch') && <Watch session={live.session} add={add} />}
      {extras.has('serial') && (
        <SerialGear
          add={add}
          direction="fixed-to-mobile"
          isLost={() => live.session.expected().grade === 1}
          onClose={() => close('serial')}
        />
      )}
      {extras.has('probe') && (
        <ProbeStrip
          add={logNow}
          simulated={gear.simulated}
          tick={gear.tick}
          widthMHz={live.subject?.rig.widthMHz}
          atM={live.where.hereM}
          moving={!state.standing}
          driven={live.mode === 'drive'}
          onClose={() => close('probe')}
        />
      )}
    </Suspense>
  );
}
