import { USUAL_CALLS } from '@urvek/core';
import { useEffect, useState } from 'react';
import * as phrases from './phrases.ts';

/** Counts down the time to settle at the place just reached: a link takes a while to come to rest. */
export function Settle() {
  const [leftS, setLeftS] = useState(USUAL_CALLS.settleS);
  useEffect(() => {
    const timer = setInterval(() => setLeftS((s) => Math.max(0, s - 1)), 1000);
    return () => clearInterval(timer);
  }, []);
  return leftS > 0 ? (
    <p role="status">
      {phrases.standStillCallIn}
      <span className="figure font-bold">{leftS} s</span>.
    </p>
  ) : null;
}
