import { useRef, type PointerEvent } from 'react';
import { KeySign, useKey } from './KeySign.tsx';
import { Touch } from './Touch.tsx';
import * as phrases from './phrases.ts';

interface Dropout {
  readonly lost: boolean;
  readonly onBegin: (inputMs: number) => void;
  readonly onEnd: (inputMs: number) => void;
  readonly tall: boolean;
}

const looks = ({ lost, tall }: Dropout): string =>
  `col-span-5 text-lg ${tall ? 'min-h-48' : ''} ${lost ? 'is-lost' : ''}`;

/** The dropout key: a press begins it and a press ends it. */
export function DropoutPress(dropout: Dropout) {
  const keyOf = useKey('d');
  return (
    <Touch className={looks(dropout)} {...keyOf} onPress={dropout.lost ? dropout.onEnd : dropout.onBegin}>
      {dropout.lost ? phrases.dropoutEnds : phrases.dropoutBegins}
      <KeySign k="d" />
    </Touch>
  );
}

/** The same for who chose to hold: a dropout lasts as long as the key is held. */
export function HoldPress(dropout: Dropout) {
  const { lost, onBegin, onEnd } = dropout;
  const held = useRef(false);
  const keyOf = useKey('d');
  const down = (e: PointerEvent<HTMLElement>): void => {
    if (e.button !== 0 || held.current) return;
    held.current = true;
    e.currentTarget.setPointerCapture(e.pointerId);
    if (!lost) onBegin(e.timeStamp);
  };
  const up = (e: PointerEvent<HTMLElement>): void => {
    if (!held.current) return;
    held.current = false;
    onEnd(e.timeStamp);
  };
  return (
    <button
      type="button"
      className={`pressable relative is-held ${looks(dropout)}`}
      {...keyOf}
      onPointerDown={down}
      onPointerUp={up}
      onPointerCancel={up}
      onClick={(e) => {
        if (e.detail === 0) (lost ? onEnd : onBegin)(e.timeStamp);
      }}
    >
      {lost ? phrases.lostLetGoWhenItIs : phrases.holdWhileItIsLost}
      <KeySign k="d" />
    </button>
  );
}
