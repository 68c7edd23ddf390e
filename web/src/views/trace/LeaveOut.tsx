import type { Finding } from '@urvek/study';
import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import { RemoveWalk } from './RemoveWalk.tsx';
import { useWriting } from './useWriting.ts';

/** Takes a walk out of every result, with a reason that the report names; nothing of it is lost. */
export function LeaveOut({ finding }: { finding: Finding }) {
  const [reason, setReason] = useState('');
  const { write } = useWriting(finding);
  const out = finding.trace.leftOut !== undefined;
  return (
    <section className="py-1" aria-label="Leave this walk out">
      <h2>{out ? 'It is left out' : 'Leave this walk out'}</h2>
      <form
        className="mt-1 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (out) void write('leftOut', {}, 'This walk counts again');
          else
            void write('leftOut', { reason: reason.trim() }, 'Left out of every result; the report names it');
          setReason('');
        }}
      >
        {!out && (
          <Field
            className="w-64"
            label="Why it is left out"
            placeholder="a rehearsal; the receiver was off"
            maxLength={500}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
        )}
        <button className="btn" disabled={!out && !reason.trim()}>
          {out ? 'Count it again' : 'Leave it out'}
        </button>
        {out && <RemoveWalk finding={finding} />}
      </form>
    </section>
  );
}
