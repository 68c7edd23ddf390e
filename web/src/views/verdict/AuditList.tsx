import type { AuditEntry } from '@urvek/study';
import { AcceptAudit } from './AcceptAudit.tsx';
import * as phrases from './phrases.ts';

/** Findings of the audits, weightiest first; each can be left as it is for a reason that is printed. */
export function AuditList({
  audits,
  onAcknowledge,
  onReopen,
}: {
  audits: readonly AuditEntry[];
  onAcknowledge?: (key: string, reason: string) => void;
  onReopen?: (key: string) => void;
}) {
  return (
    <ul className="grid gap-2">
      {audits.map((a) => (
        <li
          key={a.key}
          className={`border-l-4 pl-3 ${a.acknowledged === undefined ? 'border-degraded' : 'border-rule'}`}
          data-audit={a.rule}
        >
          <p>
            <strong>{a.title}</strong> <span className="text-[0.87rem] text-faint">{a.path}</span>
          </p>
          <p>
            {a.what}
            {a.size !== undefined && (
              <span className="text-faint">
                {phrases.couldBeWorth}
                <span className="figure">{a.size}</span>
              </span>
            )}
            .
          </p>
          {a.acknowledged === undefined ? (
            <p className="text-[0.87rem]">
              <span className="text-faint">{phrases.fix}</span> {a.mend}
            </p>
          ) : (
            <p className="text-[0.87rem]">
              <span className="text-faint">{phrases.acceptedBecause}</span> {a.acknowledged}
            </p>
          )}
          {a.acknowledged === undefined && onAcknowledge && (
            <AcceptAudit what={a.title} onSave={(reason) => onAcknowledge(a.key, reason)} />
          )}
          {a.acknowledged !== undefined && onReopen && (
            <button type="button" className="btn btn-quiet" onClick={() => onReopen(a.key)}>
              {phrases.openItAgain}
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
