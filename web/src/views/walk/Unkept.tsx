import type { WalkHeader } from '@urvek/contract';
import { countOf, type WalkEvent } from '@urvek/core';
import { saveLog } from './saveLog.ts';

/** What is pressed and not on the device yet, because that refuses it. */
export const Unkept = ({
  unkept,
  header,
  log,
}: {
  unkept: number;
  header: WalkHeader;
  log: readonly WalkEvent[];
}) =>
  unkept === 0 ? null : (
    <div role="alert" className="mt-1 border-l-4 border-lost bg-sheet p-2" data-unkept={unkept}>
      <p>
        <strong>
          {countOf(unkept, 'entry is', 'entries are')} not kept yet: this device has no room, or does not
          answer.
        </strong>{' '}
        Log on: they wait in this page, which must stay open, and are kept by themselves once there is room.
        Delete films or pictures on this device, or save the log as a file.
      </p>
      <button type="button" className="btn mt-1" onClick={() => saveLog(header, log)}>
        Save the log as a file
      </button>
    </div>
  );
