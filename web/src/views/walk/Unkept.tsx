import type { WalkHeader } from '@urvek/contract';
import { countOf, type WalkEvent } from '@urvek/core';
import { saveLog } from './saveLog.ts';
import * as phrases from './phrases.ts';

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
          {phrases.notKeptYetThisDeviceHas(countOf(unkept, phrases.entryIs, phrases.entriesAre))}
        </strong>
        {phrases.logOnTheyWaitInThis}
      </p>
      <button type="button" className="btn mt-1" onClick={() => saveLog(header, log)}>
        {phrases.saveTheLogAsAFile}
      </button>
    </div>
  );
