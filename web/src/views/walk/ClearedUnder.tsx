import type { WalkHeader } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { saveLog } from './saveLog.ts';
import * as phrases from './phrases.ts';

/** The browser has cleared its storage while a walk was made: what is saved of it, and what is not. */
export const ClearedUnder = ({ header, log }: { header: WalkHeader; log: readonly WalkEvent[] }) => (
  <div role="alert" className="mt-1 border-l-4 border-degraded bg-sheet p-2" data-cleared>
    <p>
      <strong>{phrases.theBrowserClearedWhatThisDevice}</strong>
      {phrases.thisWalkWasPutBackFrom}
    </p>
    <button type="button" className="btn mt-1" onClick={() => saveLog(header, log)}>
      {phrases.saveThisWalkAsAFile}
    </button>
  </div>
);
