import type { EventBodies, EventKind } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useNotice } from '../../components/Notice.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';

/** Adds to the log of a walk that was made, at its end unless another moment is given; it can be withdrawn at once. */
export function useAddedLater({ walkId, header, trace }: Finding) {
  const notice = useNotice();
  const { endS, begin } = trace;
  return async <K extends EventKind>(
    kind: K,
    body: EventBodies[K],
    said: string,
    atS = endS,
  ): Promise<void> => {
    const write = <L extends EventKind>(of: L, what: EventBodies[L]) =>
      fieldLog.append(walkId, of, what, eventTime(atS, begin.time.rate));
    await fieldLog.adopt(header, 0);
    const { deviceId, seq } = await write(kind, body);
    void sync();
    notice({
      text: said,
      undo: () =>
        void write('correction', { amends: { deviceId, seq }, action: 'withdraw', reason: 'undone' }).then(
          sync,
        ),
    });
  };
}
