import { kindOf } from '@urvek/core';
import type { Finding } from '@urvek/study';
import * as phrases from './phrases.ts';

/** What the rig check found wrong before this walk. */
export function FailedChecks({ finding, kindId }: { finding: Finding; kindId: string | undefined }) {
  const failed = finding.trace.begin.body.checks?.filter((c) => c.result === 'failed') ?? [];
  if (failed.length === 0 || kindId === undefined) return null;
  const { checks } = kindOf(kindId);
  return (
    <p className="sheet border-l-4 border-l-lost px-3 py-2">
      <strong>{phrases.failedInTheRigCheck}</strong>{' '}
      {failed.map((f) => checks.find((c) => c.id === f.id)?.text ?? f.id).join('; ')}.
    </p>
  );
}
