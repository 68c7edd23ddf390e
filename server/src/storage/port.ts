import type {
  BatchAccepted,
  Comparison,
  ComparisonSummary,
  ComparisonUpdate,
  HeldLog,
  Interchange,
  Job,
  NewComparison,
  Setup,
  StoredWalk,
  TrailEntry,
  WalkHeader,
} from '@urvek/contract';
import type { EventKind, WalkEvent } from '@urvek/core';

/** The thing asked for is not here. */
export class NotFound extends Error {
  override readonly name = 'NotFound';
}

/** The thing asked for was here, and was removed for good. */
export class Gone extends Error {
  override readonly name = 'Gone';
}

/** What was sent contradicts what is stored; `positions` name the events of a batch. */
export class Conflict extends Error {
  override readonly name = 'Conflict';

  constructor(
    message: string,
    readonly positions?: readonly number[],
  ) {
    super(message);
  }
}

/** A value that passed every check and cannot be kept all the same. */
export class Unstorable extends Error {
  override readonly name = 'Unstorable';
}

/** What keeps everything does not answer now; what was kept stands. */
export class Unavailable extends Error {
  override readonly name = 'Unavailable';
}

/** A walk as it is listed: what it is a walk of, and how far its log has come. */
export interface ListedWalk {
  readonly header: WalkHeader;
  /** Entries of its log; it only grows, so that it names the log's state. */
  readonly entries: number;
}

/** A derived finding as it is kept: text of JSON, with what it was worked out from. */
export interface KeptFinding {
  readonly walkId: string;
  readonly key: string;
  readonly json: string;
}

/** A comparison as it was after one change of it. */
export interface KeptRevision {
  readonly revision: number;
  readonly title: string;
  readonly question: string;
  readonly setup: Setup;
  /** Undefined: it was made here, or before this was kept. */
  readonly who: string | undefined;
  readonly atMs: number;
}

/** Where a page of walks goes on: start and id of the last walk of the page before. */
export interface Cursor {
  readonly startedMs: number;
  readonly walkId: string;
}

export interface KeptFile {
  readonly name: string;
  readonly type: string;
  readonly text: string;
}

/** Everything the server keeps. One driver stands behind it (postgres/). */
export interface Storage {
  now(): Date;
  /** Asks whether it answers. @throws Unavailable */
  check(): Promise<void>;
  /** What an error of it means; undefined for one that means a fault of ours. */
  meaningOf(error: unknown): Unavailable | Unstorable | undefined;
  listComparisons(): Promise<ComparisonSummary[]>;
  /** Doing it twice is doing it once, as long as nothing was changed in between. */
  createComparison(wanted: NewComparison, setup: Setup, demo?: boolean): Promise<Comparison>;
  /** @throws NotFound */
  getComparison(id: string): Promise<Comparison>;
  /** Hides a comparison, with a reason, or shows it again. @throws NotFound */
  setAside(id: string, reason: string | undefined): Promise<void>;
  /** For good, with its walks. @throws NotFound */
  removeComparison(id: string): Promise<void>;
  /** For good. @throws NotFound */
  removeWalk(id: string): Promise<void>;
  /** Which of these walks are finished, and not left out. */
  madeAmong(walkIds: readonly string[]): Promise<Set<string>>;
  /** A paired device may read this walk from now on. */
  letRead(deviceId: string, walkId: string): Promise<void>;
  /** Which of these walks a paired device may read. */
  readableBy(deviceId: string, walkIds: readonly string[]): Promise<Set<string>>;
  /** Notes what was done, and by whom. */
  note(who: string, what: string): Promise<void>;
  /** The newest first. */
  trail(): Promise<TrailEntry[]>;
  /** @throws Conflict when another change came first. */
  updateComparison(id: string, update: ComparisonUpdate, who?: string): Promise<Comparison>;
  /** The newest first, at most so many. @throws NotFound */
  revisionsOf(id: string, most: number): Promise<KeptRevision[]>;
  /**
   * Takes in a whole comparison with its walks and their logs, or nothing of it. @throws Conflict when it,
   * or one of its walks, is here already.
   */
  importComparison(file: Interchange): Promise<Comparison>;
  /** Takes in walks with their logs, all or none. @throws Conflict when one of them is here already. */
  importWalks(comparisonId: string, walks: readonly StoredWalk[]): Promise<void>;
  /** Registers a walk; the same header again changes nothing. @throws Gone where it was removed for good */
  registerWalk(header: WalkHeader): Promise<void>;
  /** @throws NotFound */
  getHeader(walkId: string): Promise<WalkHeader>;
  /** Walks begun since, newest first: of them a second device names the one it joins. */
  walksSince(ms: number): Promise<WalkHeader[]>;
  /** Walks of a comparison in order of their start, a page at a time. */
  listWalks(
    comparisonId: string,
    page?: { readonly after?: Cursor; readonly most?: number },
  ): Promise<ListedWalk[]>;
  /** How many walks there are, and a digest that is another one when a header or a log of them is. */
  digestOf(comparisonId: string): Promise<{ readonly walks: number; readonly digest: string }>;
  /** Whole walks, logs included. */
  walksOf(comparisonId: string): Promise<StoredWalk[]>;
  logsOf(walkIds: readonly string[]): Promise<Map<string, WalkEvent[]>>;
  /** @throws NotFound */
  logOf(walkId: string): Promise<WalkEvent[]>;
  /** The last entries of some kinds of each device but one; `most` of each. */
  lastOf(
    walkId: string,
    asked: { readonly besides: string; readonly kinds: readonly EventKind[]; readonly most: number },
  ): Promise<WalkEvent[]>;
  /**
   * Appends a batch whole or not at all. An event that is here already with the same content does nothing.
   * @throws NotFound; Conflict naming the events whose key is taken by other content.
   */
  append(walkId: string, events: readonly WalkEvent[]): Promise<BatchAccepted>;
  /** How much of some devices' parts of logs is here; what is not named is not here at all. */
  heldOf(logs: readonly { readonly walkId: string; readonly deviceId: string }[]): Promise<HeldLog[]>;
  /** Kept findings of some walks, whatever they were worked out from. */
  findingsOf(walkIds: readonly string[]): Promise<Map<string, KeptFinding>>;
  keepFindings(findings: readonly KeptFinding[]): Promise<void>;
  /** Long work, asked for by what is plain data. */
  keepJob(id: string, asked: object): Promise<void>;
  /** @throws NotFound */
  jobState(id: string): Promise<Job>;
  /** What was asked, when it may begin or go on; undefined when it is done, failed or was cancelled. */
  beginJob(id: string): Promise<object | undefined>;
  /** How far it is; false when it was cancelled meanwhile. */
  jobProgress(id: string, progress: number): Promise<boolean>;
  finishJob(id: string, file: KeptFile): Promise<void>;
  failJob(id: string, trouble: string): Promise<void>;
  cancelJob(id: string): Promise<void>;
  /** @throws NotFound until it is done. */
  jobFile(id: string): Promise<KeptFile>;
  fact(name: string): Promise<string | undefined>;
  /** States a fact; false when it was stated before. */
  stateFact(name: string, value: string): Promise<boolean>;
}
