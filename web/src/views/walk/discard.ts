import { fieldLog, type KeptWalk } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import * as phrases from './phrases.ts';

/** Ends a walk where its log stopped: nothing is known of the time since. */
export async function endWhereItStopped({ id }: KeptWalk): Promise<void> {
  const last = (await fieldLog.logOf(id)).at(-1);
  if (!last) return;
  await fieldLog.append(id, 'end', { reason: 'not stated' }, eventTime(last.time.walkS, last.time.rate));
  void sync();
}

/** A walk ended by mistake goes on where it was. */
export async function walkOn(walkId: string): Promise<void> {
  const last = (await fieldLog.logOf(walkId)).at(-1);
  if (!last) return;
  await fieldLog.walkOn(walkId, eventTime(last.time.walkS, last.time.rate));
  void sync();
}

/** A walk begun by mistake: it is ended and left out. What was logged stays, and it can be counted again in Trace. */
export async function discard(kept: KeptWalk): Promise<void> {
  await endWhereItStopped(kept);
  const last = (await fieldLog.logOf(kept.id)).at(-1);
  await fieldLog.append(
    kept.id,
    'leftOut',
    { reason: phrases.begunByMistake },
    eventTime(last?.time.walkS ?? 0, last?.time.rate ?? 1),
  );
  void sync();
}
