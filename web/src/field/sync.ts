import { base, OutOfReach, Refused } from '../api/client.ts';
import { AT_BASE, fieldLog, HERE, SET_ASIDE, UNFILED, type KeptEvent, type KeptWalk } from './fieldLog.ts';

const BATCH = 200;
const RETRY_MS = 3000;

/** Sends what is on this device only; true when nothing is left. */
async function sendWalk(walk: KeptWalk): Promise<void> {
  if (!walk.registered) {
    await base.register(walk.header);
    await fieldLog.walks.update(walk.id, { registered: 1 });
  }
  for (;;) {
    const waiting = await fieldLog.events.where({ walkId: walk.id, place: HERE }).limit(BATCH).sortBy('seq');
    if (waiting.length === 0) return;
    await sendBatch(walk.id, waiting);
  }
}

/** A refused event is set aside, visibly, and never blocks the rest; a batch that is too large is halved. */
async function sendBatch(walkId: string, batch: readonly KeptEvent[]): Promise<void> {
  try {
    await base.append(
      walkId,
      batch.map((k) => k.event),
    );
    await place(batch, AT_BASE);
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    if (error.status === 413 && batch.length > 1) {
      const half = Math.ceil(batch.length / 2);
      await sendBatch(walkId, batch.slice(0, half));
      return sendBatch(walkId, batch.slice(half));
    }
    const { positions = batch.length === 1 ? [0] : undefined, what } = error.problem;
    if (!positions || (error.status !== 422 && error.status !== 409 && error.status !== 413)) throw error;
    await place(
      positions.flatMap((p) => batch[p] ?? []),
      SET_ASIDE,
      what,
    );
  }
}

async function place(events: readonly KeptEvent[], to: KeptEvent['place'], refusal?: string): Promise<void> {
  await fieldLog.transaction('rw', fieldLog.events, async () => {
    for (const { walkId, deviceId, seq } of events)
      await fieldLog.events.update([walkId, deviceId, seq], {
        place: to,
        ...(refusal === undefined ? {} : { refusal }),
      });
  });
}

let running: Promise<boolean> | undefined;
let again = false;

async function sendAll(): Promise<boolean> {
  const waiting = await fieldLog.events.where('place').equals(HERE).toArray();
  let all = true;
  for (const id of new Set(waiting.map((k) => k.walkId))) {
    const walk = await fieldLog.walks.get(id);
    try {
      if (walk && walk.comparisonId !== UNFILED) await sendWalk(walk);
    } catch (error) {
      if (!(error instanceof OutOfReach) && !(error instanceof Refused)) throw error;
      all = false;
    }
  }
  return all;
}

/** Sends everything that waits, one run at a time; tries again later when the base is out of reach. */
export function sync(): Promise<boolean> {
  if (running) {
    again = true;
    return running;
  }
  running = sendAll().finally(() => {
    running = undefined;
  });
  void running.then((all) => {
    if (!all) setTimeout(() => void sync(), RETRY_MS);
    else if (again) void sync();
    again = false;
  });
  return running;
}
