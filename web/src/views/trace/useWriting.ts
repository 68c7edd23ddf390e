import type { Correction, Entry, EventBodies, EventKind, EventKey, WalkEvent } from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useNotice } from '../../components/Notice.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';

interface Said {
  readonly reason: string;
  readonly author: string;
}

/** Writes into the log of a walk that was made: what is added or corrected can be taken back at once. */
export function useWriting({ header, walkId, trace }: Finding) {
  const notice = useNotice();
  const append = async <K extends EventKind>(
    kind: K,
    body: EventBodies[K],
    walkS: number,
  ): Promise<WalkEvent> => {
    try {
      await fieldLog.adopt(header, 0);
      return await fieldLog.append(walkId, kind, body, eventTime(walkS, trace.begin.time.rate));
    } catch (cause) {
      throw new Error('This was not kept: this device refuses to store it. The log is as it was.', { cause });
    }
  };
  const withdraw = (amends: EventKey): Promise<unknown> =>
    append('correction', { amends, action: 'withdraw', reason: 'undone' }, trace.endS).then(sync);
  const said = (text: string, { deviceId, seq }: WalkEvent): void => {
    void sync();
    notice({ text, undo: () => void withdraw({ deviceId, seq }) });
  };
  const by = ({ reason, author }: Said): Pick<Correction, 'reason' | 'author'> => ({
    reason,
    ...(author.trim() ? { author: author.trim() } : {}),
  });
  return {
    correct: async (
      { deviceId, seq, time }: WalkEvent,
      correction: Omit<Correction, 'amends' | 'reason' | 'author'>,
      why: Said,
    ): Promise<void> => {
      const body = { amends: { deviceId, seq }, ...correction, ...by(why) };
      said('Correction logged', await append('correction', body, time.walkS));
    },
    add: async ({ kind, body }: Entry, walkS: number, why: Said): Promise<void> => {
      const made = await append(kind, body as never, walkS);
      await append(
        'correction',
        { amends: { deviceId: made.deviceId, seq: made.seq }, action: 'add', ...by(why) },
        walkS,
      );
      said('Entry added', made);
    },
  };
}
