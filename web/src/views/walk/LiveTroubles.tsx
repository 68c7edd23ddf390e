import { Trouble } from '../../components/States.tsx';
import { Announce } from './Announce.tsx';
import { ClearedUnder } from './ClearedUnder.tsx';
import { saveLog } from './saveLog.ts';
import { Unkept } from './Unkept.tsx';
import type { Live } from './useLive.ts';
import * as phrases from './phrases.ts';

/** What went wrong with keeping the log, and what was just kept for those who do not look. */
export const LiveTroubles = ({ live: { kept, log, unkept, cleared, entries } }: { live: Live }) => (
  <>
    <Announce log={log} unkept={unkept} />
    <Unkept unkept={unkept} header={kept.header} log={log} />
    {cleared && <ClearedUnder header={kept.header} log={log} />}
    {entries.error && (
      <>
        <Trouble error={entries.error} />
        <button type="button" className="btn" onClick={() => saveLog(kept.header, log)}>
          {phrases.saveTheLogAsAFile}
        </button>
      </>
    )}
  </>
);
