import type { Question } from '@urvek/draw';
import { NotFound, Unavailable, type Storage } from '../storage/port.ts';
import type { Threads } from '../threads/pool.ts';
import { stateOf, type State } from './state.ts';

/** Up to so many walks a device works out what its stages show as soon as it could ask for it. */
const MOST_ON_A_DEVICE = 300;
/** After so long without a change the answers are worked out before anybody asks. */
const QUIET_MS = 1000;
/** Kept in memory: comparisons, and answers of each. */
const MOST_COMPARISONS = 8;
const MOST_ANSWERS = 40;

interface Kept {
  readonly tag: string;
  readonly answers: Map<string, Promise<string>>;
  /** One thread at a time works for a comparison: the second would have to read all of it again. */
  last: Promise<unknown>;
}

/** The report as most read it: in metres, and in the days of this machine, at which whoever writes it sits. */
const REPORT: Question = {
  ...{ ask: 'report', form: 'long', unit: 'm' },
  zone: new Intl.DateTimeFormat().resolvedOptions().timeZone,
};

/** What each stage asks first, beside the overview. */
const OF_STAGE: Readonly<Record<string, readonly Question[]>> = {
  plan: [{ ask: 'planBoard' }],
  trace: [{ ask: 'bands' }],
  ranges: [{ ask: 'judgement' }],
  verdict: [{ ask: 'judgement' }],
  report: [REPORT],
};

/** The same with the overview: what a page will ask as soon as it is there. */
export const firstOf = (stage: string): readonly Question[] => [
  { ask: 'overview' },
  ...(OF_STAGE[stage] ?? []),
];

/** What is worked out before anybody asks. */
const FIRST: readonly Question[] = [
  { ask: 'overview' },
  { ask: 'stages' },
  { ask: 'bands' },
  { ask: 'judgement' },
  { ask: 'curves' },
  { ask: 'planBoard' },
  { ask: 'nextPoints' },
  { ask: 'planAudit' },
  REPORT,
];

/**
 * Answers of the studies of large comparisons, worked out in a thread and kept until anything of a comparison changes:
 * a device that was never here sees them without fetching every walk first.
 */
export class Answers {
  private readonly kept = new Map<string, Kept>();
  private closed = false;
  private readonly waiting = new Map<string, NodeJS.Timeout>();

  constructor(
    private readonly storage: Storage,
    private readonly threads: Threads,
    private readonly databaseUrl: string,
    private readonly report: (error: unknown) => void,
  ) {}

  /** Whether it is for the base to answer. */
  static isLarge = ({ walks }: Pick<State, 'walks'>): boolean => walks > MOST_ON_A_DEVICE;

  /** Something of a comparison is kept. */
  has(comparisonId: string): boolean {
    return this.kept.has(comparisonId);
  }

  /** An answer as JSON. */
  of({ comparison, tag }: State, question: Question, open: boolean): Promise<string> {
    const kept = this.keptOf(comparison.id, tag);
    const name = JSON.stringify([
      open || comparison.setup.plan.blind !== true,
      ...Object.entries(question).toSorted(([a], [b]) => a.localeCompare(b)),
    ]);
    const known = kept.answers.get(name);
    if (known) return known;
    const answer = kept.last.then(() =>
      this.threads.run<string>({
        ...{ kind: 'answer', databaseUrl: this.databaseUrl },
        ...{ comparisonId: comparison.id, question, open },
      }),
    );
    kept.last = answer.catch(() => undefined);
    keep(kept.answers, name, answer, MOST_ANSWERS);
    // What failed is tried again by whoever asks next.
    answer.catch(() => kept.answers.delete(name));
    return answer;
  }

  /** Something of a comparison changed: once it is quiet, what its stages ask first is worked out. */
  changed(comparisonId: string): void {
    clearTimeout(this.waiting.get(comparisonId));
    const timer = setTimeout(() => {
      this.waiting.delete(comparisonId);
      this.workOut(comparisonId).catch((error: unknown) => this.tell(error));
    }, QUIET_MS);
    timer.unref();
    this.waiting.set(comparisonId, timer);
  }

  /** Nothing is kept after a start: what was worked on last is asked for first. */
  async begin(): Promise<void> {
    try {
      const all = await this.storage.listComparisons();
      const [last] = all.toSorted((a, b) => b.updatedAt.localeCompare(a.updatedAt));
      if (last && !this.closed) this.changed(last.id);
    } catch (error) {
      this.tell(error);
    }
  }

  /**
   * Of work that nobody waits for: removed meanwhile, out of reach of the database, or cut short by the end, it is
   * left.
   */
  private tell(error: unknown): void {
    const meant = this.storage.meaningOf(error) ?? error;
    if (!this.closed && !(meant instanceof NotFound) && !(meant instanceof Unavailable)) this.report(error);
  }

  close(): void {
    this.closed = true;
    for (const timer of this.waiting.values()) clearTimeout(timer);
    this.waiting.clear();
  }

  private async workOut(comparisonId: string): Promise<void> {
    const state = await stateOf(this.storage, comparisonId);
    if (!Answers.isLarge(state)) return;
    await Promise.all(FIRST.map((question) => this.of(state, question, true)));
  }

  private keptOf(comparisonId: string, tag: string): Kept {
    const found = this.kept.get(comparisonId);
    if (found?.tag === tag) return found;
    const kept: Kept = { tag, answers: new Map(), last: found?.last ?? Promise.resolve() };
    this.kept.delete(comparisonId);
    keep(this.kept, comparisonId, kept, MOST_COMPARISONS);
    return kept;
  }
}

/** The oldest makes room. */
function keep<V>(map: Map<string, V>, key: string, value: V, most: number): void {
  map.set(key, value);
  for (const oldest of map.keys()) {
    if (map.size <= most) return;
    map.delete(oldest);
  }
}
