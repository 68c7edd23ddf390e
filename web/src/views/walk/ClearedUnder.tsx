import type { WalkHeader } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { saveLog } from './saveLog.ts';

/** The browser has cleared its storage while a walk was made: what is saved of it, and what is not. */
export const ClearedUnder = ({ header, log }: { header: WalkHeader; log: readonly WalkEvent[] }) => (
  <div role="alert" className="mt-1 border-l-4 border-degraded bg-sheet p-2" data-cleared>
    <p>
      <strong>The browser cleared what this device had kept.</strong> This walk was put back from this page
      and goes on; it is sent when there is a link. Walks that had not reached the base are gone from this
      device.
    </p>
    <button type="button" className="btn mt-1" onClick={() => saveLog(header, log)}>
      Save this walk as a file
    </button>
  </div>
);
