import { tagOf } from '@urvek/core';
import { useEffect, useRef, useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import type { WalkSession } from '../../field/walkSession.ts';
import { pictureInputs, watch } from '../../field/watch.ts';
import { BeaconState, type LateOf } from './BeaconState.tsx';
import { receivedLog, type AddEntry } from './receivedLog.ts';
import { ReceivedState } from './ReceivedState.tsx';
import { useReceiving } from './useReceiving.ts';
import * as phrases from './phrases.ts';

/**
 * Dropouts seen by this device, at the receiving end: a picture that freezes or goes blank is logged without a thumb.
 */
export function Watch({ session, add, lateOf }: { session: WalkSession; add: AddEntry; lateOf?: LateOf }) {
  const { state, start, stop } = useReceiving(receivedLog(session, add, 'watching'));
  const { on, lost, level, usual, beacon, picture, trouble } = state;
  const [inputs, setInputs] = useState<Awaited<ReturnType<typeof pictureInputs>>>([]);
  const [input, setInput] = useState<string>();
  const shown = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    if (shown.current) shown.current.srcObject = picture ?? null;
  }, [picture]);
  const begin = (deviceId: string | undefined): void => {
    setInput(deviceId);
    start((seen) => watch(deviceId, tagOf(session.walkId), seen));
    void pictureInputs().then(setInputs);
  };
  return (
    <section aria-label={phrases.watch} className="sheet mt-2 p-2" data-watching={on}>
      {on ? (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          {/* What comes in, so that one sees that it is the receiver's picture. */}
          <video
            ref={shown}
            autoPlay
            muted
            playsInline
            className="h-20 border border-rule"
            aria-label={phrases.whatComesIn}
          />
          <ReceivedState lost={lost} usual={usual} />
          <p className="basis-full text-[0.87rem] text-faint">
            {level === undefined
              ? phrases.learningHowMuchThePictureMoves
              : usual === undefined
                ? phrases.thePictureHardlyMovesAFreeze
                : phrases.fromFrameToFrameADot(level.toFixed(1), usual.toFixed(1))}
          </p>
          {beacon && <BeaconState beacon={beacon} of="picture" lateOf={lateOf} />}
          {inputs.length > 1 && (
            <Choice inline label={phrases.from} value={input ?? ''} onChange={(e) => begin(e.target.value)}>
              {input === undefined && <option value="">{phrases.asTheBrowserChose}</option>}
              {inputs.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Choice>
          )}
          <button type="button" className="btn" onClick={stop}>
            {phrases.stopWatching}
          </button>
        </div>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <button type="button" className="btn min-h-11" onClick={() => begin(input)}>
            {phrases.watchByCameraOrCaptureDevice}
          </button>
          <p className="basis-full text-[0.87rem] text-faint">{phrases.aPictureThatFreezesIsBlack}</p>
        </div>
      )}
      {trouble && (
        <p role="alert" className="mt-1 border-l-4 border-lost pl-2">
          {trouble}
        </p>
      )}
    </section>
  );
}
