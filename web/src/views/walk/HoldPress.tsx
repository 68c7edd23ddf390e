import { useRef, type PointerEvent } from 'react';

/** A press that is held this long is a dropout that lasts as long as it is held. */
const HELD_MS = 500;

/** The dropout key: a press begins it and a press ends it; held, it lasts as long as it is held. */
export function HoldPress({
  lost,
  onBegin,
  onEnd,
  tall,
}: {
  lost: boolean;
  onBegin: (inputMs: number) => void;
  onEnd: (inputMs: number) => void;
  tall: boolean;
}) {
  const begun = useRef<number>(undefined);
  const down = (e: PointerEvent): void => {
    if (e.button !== 0) return;
    if (lost) onEnd(e.timeStamp);
    else {
      begun.current = e.timeStamp;
      onBegin(e.timeStamp);
    }
  };
  const up = (e: PointerEvent): void => {
    if (begun.current !== undefined && e.timeStamp - begun.current > HELD_MS) onEnd(e.timeStamp);
    begun.current = undefined;
  };
  return (
    <button
      type="button"
      className={`pressable relative col-span-5 text-lg ${tall ? 'min-h-48' : ''} ${lost ? 'bg-lost! text-white' : ''}`}
      aria-keyshortcuts="d"
      onPointerDown={down}
      onPointerUp={up}
      onPointerCancel={up}
      onClick={(e) => {
        if (e.detail === 0) (lost ? onEnd : onBegin)(e.timeStamp);
      }}
    >
      {lost ? 'Dropout ends' : 'Dropout begins'}
      <span className="key absolute top-1 right-1 hidden md:block" aria-hidden>
        D
      </span>
    </button>
  );
}
