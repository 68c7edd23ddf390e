import type { Setup } from '@urvek/contract';
import type { EventBodies } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { AgainstForm } from '../../components/AgainstForm.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';

/** What is remembered of a walk beside another: it orders the two, where no distance does. */
export function Beside({ setup, finding }: { setup: Setup; finding: Finding }) {
  const notice = useNotice();
  const { endS, begin } = finding.trace;
  const at = () => eventTime(endS, begin.time.rate);
  const keep = async (body: EventBodies['against'], name: string): Promise<void> => {
    await fieldLog.adopt(finding.header, 0);
    const { deviceId, seq } = await fieldLog.append(finding.walkId, 'against', body, at());
    void sync();
    notice({
      text: `Kept, beside ${name}: ${body.how}`,
      undo: () =>
        void fieldLog
          .append(
            finding.walkId,
            'correction',
            { amends: { deviceId, seq }, action: 'withdraw', reason: 'undone' },
            at(),
          )
          .then(sync),
    });
  };
  return (
    <details className="sheet p-3">
      <summary className="cursor-pointer font-bold">Beside another, without a distance</summary>
      <p className="mt-1 mb-2 text-[0.85rem] text-faint">
        What is remembered of both on one outing. It tells which was the farther, and no ratio.
      </p>
      <AgainstForm setup={setup} walked={finding.header} onSaid={(body, name) => void keep(body, name)} />
    </details>
  );
}
