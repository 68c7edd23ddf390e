import type { Question } from '@urvek/draw';
import type { DataSource } from 'typeorm';
import { systemClock } from '../clock.ts';
import { answerOf } from '../findings/heldStudy.ts';
import { derive, DERIVED_AT_ONCE, keepFound, stale } from '../findings/keeper.ts';
import { fileOf, type FileAsked } from '../publish/files.ts';
import { doJob } from '../jobs/doJob.ts';
import { openDatabase } from '../storage/postgres/database.ts';
import { meaningOf } from '../storage/postgres/meaning.ts';
import { Store } from '../storage/postgres/store.ts';
import { InterchangeError, readInterchange, readWalks, type Setup, type StoredWalk } from '@urvek/contract';

/** What a thread is asked to do. Only plain data cross. */
export type Work =
  | {
      readonly kind: 'derive';
      readonly databaseUrl: string;
      readonly comparisonId: string;
      readonly walkIds: readonly string[];
    }
  | {
      readonly kind: 'answer';
      readonly databaseUrl: string;
      readonly comparisonId: string;
      readonly question: Question;
      readonly open: boolean;
    }
  | { readonly kind: 'file'; readonly databaseUrl: string; readonly asked: FileAsked }
  | { readonly kind: 'job'; readonly databaseUrl: string; readonly jobId: string }
  | { readonly kind: 'import'; readonly databaseUrl: string; readonly text: string }
  | {
      readonly kind: 'importWalks';
      readonly databaseUrl: string;
      readonly comparisonId: string;
      readonly text: string;
    };

let open: { url: string; database: DataSource } | undefined;

/** One connection a thread, opened when it is first needed. */
async function storageAt(url: string): Promise<Store> {
  if (open?.url !== url) {
    await open?.database.destroy();
    open = { url, database: await openDatabase(url, { migrate: false, connections: 1, long: true }) };
  }
  return new Store(open.database, systemClock);
}

/** What crosses back. An error that crosses by itself loses its class: its name goes along. */
export type Outcome =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly name: string; readonly message: string };

export default async function run(asked: Work): Promise<Outcome> {
  try {
    return { ok: true, value: await work(asked) };
  } catch (error) {
    const { name, message } = meaningOf(error) ?? (error as Error);
    return { ok: false, name, message };
  }
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new InterchangeError('it is not readable JSON');
  }
}

async function work(asked: Work): Promise<unknown> {
  const storage = await storageAt(asked.databaseUrl);
  switch (asked.kind) {
    case 'derive': {
      const { setup } = await storage.getComparison(asked.comparisonId);
      const wanted = new Set(asked.walkIds);
      const walks = (await storage.listWalks(asked.comparisonId)).filter((w) => wanted.has(w.header.id));
      return derive(storage, setup, (await stale(storage, setup, walks)).stale);
    }
    case 'answer':
      return answerOf(storage, asked.comparisonId, asked.question, asked.open);
    case 'file':
      return fileOf(storage, asked.asked);
    case 'job':
      return doJob(storage, asked.jobId);
    case 'import': {
      const file = readInterchange(jsonOf(asked.text));
      const comparison = await storage.importComparison(file);
      await foundAtOnce(storage, comparison.setup, file.walks);
      return comparison;
    }
    case 'importWalks': {
      const walks = readWalks((jsonOf(asked.text) as { walks?: unknown } | null)?.walks, asked.comparisonId);
      await storage.importWalks(asked.comparisonId, walks);
      await foundAtOnce(storage, (await storage.getComparison(asked.comparisonId)).setup, walks);
      return { walks: walks.length };
    }
  }
}

/** While the logs are at hand: whoever looks next need not wait for them to be read again. */
async function foundAtOnce(storage: Store, setup: Setup, walks: readonly StoredWalk[]): Promise<void> {
  // They are in whatever comes of this; what is not kept is worked out when it is asked for.
  try {
    for (let at = 0; at < walks.length; at += DERIVED_AT_ONCE)
      await keepFound(storage, setup, walks.slice(at, at + DERIVED_AT_ONCE));
  } catch {
    return;
  }
}
