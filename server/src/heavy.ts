import type { Comparison } from '@urvek/contract';
import type { KeptFile, KeptFinding, ListedWalk, Storage } from './storage/port.ts';
import { derive, stale } from './findings/keeper.ts';
import { fileOf, type FileAsked } from './publish/files.ts';
import type { Threads } from './threads/pool.ts';

/** Log entries that are worked out within a request: about 20 ms. More of them go to a thread. */
const AT_ONCE = 1500;

/** Work that may be much: short work is done at once, long work in a thread, by the same code. */
export class Heavy {
  constructor(
    private readonly storage: Storage,
    private readonly threads: Threads,
    private readonly databaseUrl: string,
  ) {}

  /** Kept findings of some walks of a comparison, those that are stale worked out anew. */
  async findings(
    comparisonId: string,
    walks: readonly ListedWalk[],
  ): Promise<ReadonlyMap<string, KeptFinding>> {
    const { setup } = await this.storage.getComparison(comparisonId);
    const { fresh, stale: old } = await stale(this.storage, setup, walks);
    if (old.length === 0) return fresh;
    const anew =
      entriesIn(old) <= AT_ONCE
        ? await derive(this.storage, setup, old)
        : await this.threads.run<KeptFinding[]>({
            kind: 'derive',
            databaseUrl: this.databaseUrl,
            comparisonId,
            walkIds: old.map((w) => w.header.id),
          });
    return new Map([...fresh, ...anew.map((f) => [f.walkId, f] as const)]);
  }

  async file(asked: FileAsked, signal?: AbortSignal): Promise<KeptFile> {
    const walks = await this.storage.listWalks(asked.comparisonId);
    return entriesIn(walks) <= AT_ONCE
      ? fileOf(this.storage, asked)
      : this.threads.run<KeptFile>({ kind: 'file', databaseUrl: this.databaseUrl, asked }, signal);
  }

  /** Takes in a whole comparison from the text of its file. */
  import(text: string): Promise<Comparison> {
    return this.threads.run<Comparison>({ kind: 'import', databaseUrl: this.databaseUrl, text });
  }

  importWalks(comparisonId: string, text: string): Promise<{ walks: number }> {
    return this.threads.run({ kind: 'importWalks', databaseUrl: this.databaseUrl, comparisonId, text });
  }
}

const entriesIn = (walks: readonly ListedWalk[]): number => walks.reduce((sum, w) => sum + w.entries, 0);
