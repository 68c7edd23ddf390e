import { useState } from 'react';
import { Field } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** Accepts a question of fairness, with a reason that is printed. */
export function AcceptAudit({ what, onSave }: { what: string; onSave: (reason: string) => void }) {
  const [reason, setReason] = useState<string>();
  if (reason === undefined)
    return (
      <button
        type="button"
        className="btn btn-quiet no-print"
        aria-label={phrases.acceptWithAReason(what)}
        onClick={() => setReason('')}
      >
        {phrases.acceptWithAReason2}
      </button>
    );
  return (
    <form
      className="no-print flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (reason.trim() !== '') onSave(reason.trim());
      }}
    >
      <Field
        className="min-w-72 flex-1"
        label={phrases.reasonWhichIsPrinted}
        value={reason}
        maxLength={500}
        autoFocus
        onChange={(e) => setReason(e.target.value)}
      />
      <button className="btn btn-main" disabled={reason.trim() === ''}>
        {phrases.saveTheReason}
      </button>
      <button type="button" className="btn" onClick={() => setReason(undefined)}>
        {phrases.cancel}
      </button>
    </form>
  );
}
