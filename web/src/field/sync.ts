import { base, OutOfReach, Refused } from '../api/client.ts';
import {
  AT_BASE,
  fieldLog,
  HERE,
  REMOVED,
  SET_ASIDE,
  UNFILED,
  type KeptEvent,
  type KeptWalk,
} from './fieldLog.ts';
import * as phrases from './phrases.ts';

const BATCH = 200;
const RETRY_MS = 3000;

/**
 * Sends what is on this device only. A base that does not know the walk (any more: an older backup was put back) gets
 * all of it anew.
 */
async function sendWalk(walk: KeptWalk): Promise<void> {
  if (!walk.registered) await register(walk);
  let anew = false;
  for (;;) {
    const waiting = await fieldLog.events.where({ walkId: walk.id, place: HERE }).limit(BATCH).sortBy('seq');
    if (waiting.length === 0) return;
    try {
      await sendSome(walk.id, waiting);
    } catch (error) {
      if (anew || !(error instanceof Refused) || error.status !== 404) throw error;
      anew = true;
      await register(walk);
      await withdraw(walk.id);
    }
  }
}

/** What the base removed for good is not sent again: what this device has of it stays here, and counts nowhere. */
async function register({ id, header }: KeptWalk): Promise<void> {
  await base.register(header).catch(async (error: unknown) => {
    if (error instanceof Refused && error.status === 410) await isRemoved(id);
    throw error;
  });
  await fieldLog.walks.update(id, { registered: 1 });
}

export const isRemoved = (walkId: string): Promise<number> =>
  fieldLog.events.where({ walkId }).modify({ place: REMOVED });

/** What was sent is no longer there: it waits again. The same event sent twice does nothing. */
const withdraw = (walkId: string, deviceId?: string): Promise<number> =>
  fieldLog.events
    .where({ walkId, place: AT_BASE })
    .filter((k) => deviceId === undefined || k.deviceId === deviceId)
    .modify({ place: HERE });

/** So many logs are asked about at a time. */
const ASKED = 500;

/**
 * Once at each start: what this device has sent is compared with what the base holds, and sent again where it is
 * missing there. @throws OutOfReach
 */
export async function compareWithBase(): Promise<void> {
  const sent = new Map<string, { walkId: string; deviceId: string; highest: number; count: number }>();
  await fieldLog.events
    .where('place')
    .equals(AT_BASE)
    .each(({ walkId, deviceId, seq }) => {
      const key = `${walkId}/${deviceId}`;
      const log = sent.get(key) ?? { walkId, deviceId, highest: 0, count: 0 };
      sent.set(key, { ...log, highest: Math.max(log.highest, seq), count: log.count + 1 });
    });
  const logs = [...sent.values()];
  for (let at = 0; at < logs.length; at += ASKED) {
    const asked = logs.slice(at, at + ASKED);
    const held = await base.held(asked.map(({ walkId, deviceId }) => ({ walkId, deviceId })));
    const there = new Map(held.map((h) => [`${h.walkId}/${h.deviceId}`, h]));
    for (const { walkId, deviceId, highest, count } of asked) {
      const known = there.get(`${walkId}/${deviceId}`);
      if (known && known.count >= count && known.highest >= highest) continue;
      if (!known) await fieldLog.walks.update(walkId, { registered: 0 });
      await withdraw(walkId, deviceId);
    }
  }
}

const SERVER_FAILED = phrases.theServerFailedOnItAnd;

/** What the server fails on alone, while it takes the rest, is set aside; where it takes nothing, all of it waits. */
async function sendSome(walkId: string, waiting: readonly KeptEvent[]): Promise<void> {
  const failed = await sendBatch(walkId, waiting);
  if (failed.length === 0) return;
  if (failed.length === waiting.length) throw failed[0]?.error;
  await place(
    failed.map((f) => f.kept),
    SET_ASIDE,
    SERVER_FAILED,
  );
}

interface FailedOn {
  readonly kept: KeptEvent;
  readonly error: Refused;
}

/**
 * A refused event is set aside, visibly, and never blocks the rest; a batch that is too large, or that the server
 * fails on, is halved. @returns those that it failed on one by one
 */
async function sendBatch(walkId: string, batch: readonly KeptEvent[]): Promise<FailedOn[]> {
  try {
    await base.append(
      walkId,
      batch.map((k) => k.event),
    );
    await place(batch, AT_BASE);
    return [];
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    const [first] = batch;
    if (error.status >= 500 && batch.length === 1 && first) return [{ kept: first, error }];
    if ((error.status === 413 || error.status >= 500) && batch.length > 1) {
      const half = Math.ceil(batch.length / 2);
      return [
        ...(await sendBatch(walkId, batch.slice(0, half))),
        ...(await sendBatch(walkId, batch.slice(half))),
      ];
    }
    const { positions = batch.length === 1 ? [0] : undefined, what } = error.problem;
    if (!positions || (error.status !== 422 && error.status !== 409 && error.status !== 413)) throw error;
    await place(
      positions.flatMap((p) => batch[p] ?? []),
      SET_ASIDE,
      what,
    );
    return [];
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
/** What is asked for while one goes on. */
let next: Promise<boolean> | undefined;

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
  // What is asked for while one goes on may have come after it looked: the next one sends it.
  if (running)
    return (next ??= running
      .catch(() => false)
      .then(() => {
        next = undefined;
        return sync();
      }));
  running = sendAll()
    .catch((error: unknown) => {
      // A log that is closed under it, by a full disk, is opened anew by the session: it is sent then.
      if (!fieldLog.refused(error)) throw error;
      return false;
    })
    .finally(() => {
      running = undefined;
    });
  void running.then((all) => {
    if (!all) setTimeout(() => void sync(), RETRY_MS);
  });
  return running;
}
