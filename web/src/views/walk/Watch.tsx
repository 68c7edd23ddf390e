import { useEffect, useRef, useState } from 'react';
import { Choice } from '../../components/Field.tsx';
import type { WalkSession } from '../../field/walkSession.ts';
import { pictureInputs, watch } from '../../field/watch.ts';
import { receivedLog, type AddEntry } from './receivedLog.ts';
import { ReceivedState } from './ReceivedState.tsx';
import { useReceiving } from './useReceiving.ts';

/**
 * Dropouts seen by this device, at the receiving end: a picture that freezes or goes blank is logged without a thumb.
 */
export function Watch({ session, add }: { session: WalkSession; add: AddEntry }) {
  const { state, start, stop } = useReceiving(receivedLog(session, add, 'watching'));
  const { on, lost, level, usual, picture, trouble } = state;
  const [inputs, setInputs] = useState<Awaited<ReturnType<typeof pictureInputs>>>([]);
  const [input, setInput] = useState<string>();
  const shown = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    if (shown.current) shown.current.srcObject = picture ?? null;
  }, [picture]);
  const begin = (deviceId: string | undefined): void => {
    setInput(deviceId);
    start((seen) => watch(deviceId, seen));
    void pictureInputs().then(setInputs);
  };
  return (
    <section aria-label="Watch" className="sheet mt-2 p-2" data-watching={on}>
      {on ? (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          {/* What comes in, so that one sees that it is the receiver's picture. */}
          <video
            ref={shown}
            autoPlay
            muted
            playsInline
            className="h-20 border border-rule"
            aria-label="What comes in"
          />
          <ReceivedState lost={lost} usual={usual} />
          <p className="basis-full text-[0.87rem] text-faint">
            {level === undefined
              ? 'Learning how much the picture moves …'
              : usual === undefined
                ? 'The picture hardly moves: a freeze cannot be told. Point the sending camera at something that moves.'
                : `From frame to frame a dot changes by ${level.toFixed(1)} of 255, usually by ${usual.toFixed(1)}.`}
          </p>
          {inputs.length > 1 && (
            <Choice inline label="From" value={input ?? ''} onChange={(e) => begin(e.target.value)}>
              {input === undefined && <option value="">as the browser chose</option>}
              {inputs.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Choice>
          )}
          <button type="button" className="btn" onClick={stop}>
            Stop watching
          </button>
        </div>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <button type="button" className="btn min-h-11" onClick={() => begin(input)}>
            Watch by camera or capture device
          </button>
          <p className="basis-full text-[0.87rem] text-faint">
            A picture that freezes, is black or of one colour, or is cut to a still one, as a receiver’s “no
            signal” is, for 150 ms and more is logged as found, with the time at which it began. The picture
            stays on this device.
          </p>
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
