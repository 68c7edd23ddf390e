import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { RemoveWalk } from './RemoveWalk.tsx';
import { useWriting } from './useWriting.ts';
import * as phrases from './phrases.ts';

/** Takes a walk out of every result, with a reason that the report names; nothing of it is lost. */
export function LeaveOut({ finding }: { finding: Finding }) {
  const [reason, setReason] = useState('');
  const { write } = useWriting(finding);
  const out = finding.trace.leftOut !== undefined;
  return (
    <section className="py-1" aria-label={phrases.leaveThisWalkOut}>
      <h2>{out ? phrases.itIsLeftOut : phrases.leaveThisWalkOut}</h2>
      <form
        className="mt-1 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (out) void write('leftOut', {}, phrases.thisWalkCountsAgain);
          else void write('leftOut', { reason: reason.trim() }, phrases.leftOutOfEveryResultThe);
          setReason('');
        }}
      >
        {!out && (
          <Field
            className="w-64"
            label={phrases.whyItIsLeftOut}
            placeholder={phrases.aRehearsalTheReceiverWasOff}
            maxLength={500}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
        )}
        <button className="btn" disabled={!out && !reason.trim()}>
          {out ? phrases.countItAgain : phrases.leaveItOut}
        </button>
        {out && <RemoveWalk finding={finding} />}
      </form>
    </section>
  );
}
