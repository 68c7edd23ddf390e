import { NEXT_PAGE, type Comparison, type WalkHeader } from '@urvek/contract';
import { keyText, type WalkEvent } from '@urvek/core';
import { deriveEntry, type DerivedEntry } from '@urvek/study';
import { askBase, FINDINGS_MS } from '../api/client.ts';
import { AT_BASE, fieldLog, REMOVED } from '../field/fieldLog.ts';
import * as phrases from './phrases.ts';

interface Page {
  readonly walks: readonly {
    readonly header: WalkHeader;
    readonly derived: DerivedEntry['derived'] | null;
    /** Another device's, and not for this one to read. */
    readonly withheld?: true;
  }[];
}

/** @throws when the base does not answer, or says no. */
async function answerOf(path: string): Promise<Response> {
  const response = await askBase(path, { ms: FINDINGS_MS });
  if (!response.ok) throw new Error(phrases.theBaseAnswered(response.status));
  return response;
}

/** The pages of what the base has worked out of a comparison. @throws when it is out of reach and was never seen. */
async function* pagesAtBase(id: string): AsyncGenerator<Response> {
  const page = (after?: string): Promise<Response> =>
    answerOf(`/comparisons/${id}/findings${after === undefined ? '' : `?after=${after}`}`);
  let asked: Promise<Response> | undefined = page();
  while (asked) {
    const response: Response = await asked;
    const next = response.headers.get(NEXT_PAGE);
    // On its way while this one is read.
    asked = next === null ? undefined : page(next);
    // Where this one cannot be read, nobody waits for it.
    asked?.catch(() => undefined);
    yield response;
  }
}

/** What the base has worked out of a comparison, by walk. @throws as its pages do */
export async function entriesAtBase(id: string): Promise<Map<string, DerivedEntry>> {
  const entries = new Map<string, DerivedEntry>();
  for await (const response of pagesAtBase(id))
    for (const { header, derived, withheld } of ((await response.json()) as Page).walks)
      entries.set(header.id, { header, derived: derived ?? undefined, ...(withheld ? { withheld } : {}) });
  return entries;
}

/** Fetched once, it is there without a link: the service worker keeps what goes by. */
export async function keepAtBase(id: string): Promise<void> {
  try {
    for await (const response of pagesAtBase(id)) await response.arrayBuffer();
  } catch {
    // Out of reach: what was kept before stands.
  }
}

/** What was worked out here, and of which set-up: a path that was changed since gives another finding. */
const mine = new Map<string, { readonly revision: number; readonly entry: DerivedEntry }>();
const entriesOf = (entry: DerivedEntry | undefined): number => entry?.derived?.logged.entries ?? 0;

/** Those, with what this device has logged and the base has not: worked out here, from both logs joined. */
export async function withThisDevice(
  { id, setup, revision }: Comparison,
  atBase: ReadonlyMap<string, DerivedEntry>,
): Promise<DerivedEntry[]> {
  const entries = new Map(atBase);
  for (const { id: walkId, header } of await fieldLog.walks.where({ comparisonId: id }).toArray()) {
    const known = atBase.has(walkId);
    const all = await fieldLog.events.where({ walkId }).count();
    const sent = await fieldLog.events.where({ walkId, place: AT_BASE }).count();
    const removed = await fieldLog.events.where({ walkId, place: REMOVED }).count();
    if (!known && removed > 0) continue;
    const kept = mine.get(walkId);
    const before = kept?.revision === revision ? kept.entry : undefined;
    if (known && sent === all) {
      // Sent, but perhaps after the base was asked: what was worked out here may know more.
      if (before && entriesOf(before) > entriesOf(atBase.get(walkId))) entries.set(walkId, before);
      continue;
    }
    const log = await fieldLog.logOf(walkId);
    const there = known ? await eventsAtBase(walkId) : [];
    const entry = deriveEntry(setup, { header, log: joinedLog(there, log) });
    entries.set(walkId, entry);
    mine.set(walkId, { revision, entry });
  }
  return [...entries.values()];
}

const eventsAtBase = (walkId: string): Promise<readonly WalkEvent[]> =>
  answerOf(`/walks/${walkId}/events`).then(
    (response) => response.json() as Promise<WalkEvent[]>,
    () => [],
  );

/** One log from what the base has and what this device has, each entry once. */
export const joinedLog = (there: readonly WalkEvent[], here: readonly WalkEvent[]): WalkEvent[] => [
  ...new Map([...there, ...here].map((e) => [keyText(e), e])).values(),
];
