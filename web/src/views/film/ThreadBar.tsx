import type { ThreadState } from './useThread.ts';
import * as phrases from './phrases.ts';

/** How far long work on a recording is; it is held, gone on with, or cancelled. */
export const ThreadBar = ({
  share,
  wentOn,
  held,
  hold,
  cancel,
  label,
}: Omit<ThreadState, 'error'> & { label: string }) => (
  <>
    <progress className="w-40 self-center" value={share} aria-label={label} />
    <button type="button" className="btn" onClick={() => hold(!held)}>
      {held ? phrases.goOn : phrases.hold}
    </button>
    <button type="button" className="btn" onClick={cancel}>
      {phrases.cancel}
    </button>
    {wentOn !== undefined && (
      <p role="status" className="self-center text-faint">
        {phrases.percentWasDoneBeforeItGoes(Math.floor(100 * wentOn))}
      </p>
    )}
  </>
);
