import { useState } from 'react';
import type { WalkRow } from '@urvek/study';
import { Mixing, mixingOf } from './Mixing.tsx';
import * as phrases from './phrases.ts';

type Gear = 'real' | 'simulated';

/** Begins the walk; where real and simulated walks would be mixed it is asked first. Begins anew with other gear. */
export function BeginPress({
  walks,
  gear,
  onBegin,
}: {
  walks: readonly WalkRow[];
  gear: Gear;
  onBegin: (gear: Gear) => void;
}) {
  const [mixing, setMixing] = useState<string>();
  return (
    <>
      {mixing ? (
        <Mixing
          meaning={mixing}
          onBegin={(answer) => onBegin(answer)}
          onCancel={() => setMixing(undefined)}
        />
      ) : (
        <button
          className="btn btn-main min-h-16 w-full justify-center text-[1.35rem] md:w-64"
          onClick={() => {
            const meaning = mixingOf(walks, gear);
            if (meaning) setMixing(meaning);
            else onBegin(gear);
          }}
        >
          {phrases.beginTheWalk}
        </button>
      )}
    </>
  );
}
