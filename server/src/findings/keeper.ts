import { ARITHMETIC } from '@urvek/core';
import type { Setup, StoredWalk } from '@urvek/contract';
import { deriveEntry, type DerivedEntry } from '@urvek/study';
import { createHash } from 'node:crypto';
import type { KeptFinding, ListedWalk, Storage } from '../storage/port.ts';

/** What of a path a finding depends on. */
function pathKey(setup: Setup, pathId: string): string {
  const path = setup.paths.find((p) => p.id === pathId);
  if (!path) return '-';
  const { legs, startOffsetM, fixedEnd, checkpoints, distanceMethod } = path;
  return createHash('sha256')
    .update(JSON.stringify([legs, startOffsetM ?? 0, fixedEnd ?? null, checkpoints, distanceMethod]))
    .digest('base64url')
    .slice(0, 16);
}

/**
 * The keys by which kept findings of a set-up are still true: state of the log, place of the path, version
 * of the arithmetic.
 */
export function findingKeys(setup: Setup): (walk: ListedWalk) => string {
  const paths = new Map(setup.paths.map((p) => [p.id, pathKey(setup, p.id)]));
  return ({ header, entries }) => `${ARITHMETIC}.${entries}.${paths.get(header.pathId) ?? '-'}`;
}

/** What is to be worked out anew, cut into parts that fit a short piece of work. */
export interface Stale {
  readonly fresh: ReadonlyMap<string, KeptFinding>;
  readonly stale: readonly ListedWalk[];
}

export async function stale(storage: Storage, setup: Setup, walks: readonly ListedWalk[]): Promise<Stale> {
  const keyOf = findingKeys(setup);
  const kept = await storage.findingsOf(walks.map((w) => w.header.id));
  return {
    fresh: kept,
    stale: walks.filter((w) => kept.get(w.header.id)?.key !== keyOf(w)),
  };
}

/** Works walks out from their logs and keeps what is found. The same wherever it runs. */
export async function derive(
  storage: Storage,
  setup: Setup,
  walks: readonly ListedWalk[],
): Promise<KeptFinding[]> {
  const logs = await storage.logsOf(walks.map((w) => w.header.id));
  // The log as it was read counts, not as it was listed: more may have come in between.
  return keepFound(
    storage,
    setup,
    walks.map(({ header }) => ({ header, log: logs.get(header.id) ?? [] })),
  );
}

/** The same of logs that are at hand. */
export async function keepFound(
  storage: Storage,
  setup: Setup,
  walks: readonly StoredWalk[],
): Promise<KeptFinding[]> {
  const keyOf = findingKeys(setup);
  const found = walks.map((walk): KeptFinding => ({
    walkId: walk.header.id,
    key: keyOf({ header: walk.header, entries: walk.log.length }),
    json: JSON.stringify(deriveEntry(setup, walk).derived ?? null),
  }));
  await storage.keepFindings(found);
  return found;
}

/** Told how far long work is, as a share; what it throws ends the work. */
export type Progress = (share: number) => Promise<void>;

/** All walks of a comparison as worked out, from what is kept and, where that is stale, from the logs. */
export async function entriesOf(
  storage: Storage,
  comparisonId: string,
  setup: Setup,
  progress: Progress = async () => {},
): Promise<DerivedEntry[]> {
  const walks = await storage.listWalks(comparisonId);
  const { fresh, stale: old } = await stale(storage, setup, walks);
  const anew = new Map<string, KeptFinding>();
  for (let at = 0; at < old.length; at += DERIVED_AT_ONCE) {
    await progress(at / walks.length);
    for (const f of await derive(storage, setup, old.slice(at, at + DERIVED_AT_ONCE))) anew.set(f.walkId, f);
  }
  await progress(old.length / (walks.length + 1));
  return walks.map(({ header }) => {
    const json = (anew.get(header.id) ?? fresh.get(header.id))?.json;
    return {
      header,
      derived: json === undefined ? undefined : ((JSON.parse(json) as DerivedEntry['derived']) ?? undefined),
    };
  });
}

/** Walks whose logs are held at once. */
export const DERIVED_AT_ONCE = 200;
