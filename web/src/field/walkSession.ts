import {
  liveStateOf,
  NOT_BEGUN,
  withEntry,
  type EventBodies,
  type EventKind,
  type EventTime,
  type LiveState,
  type WalkEvent,
} from '@urvek/core';
import { Cleared } from './fieldLog.ts';
import * as phrases from './phrases.ts';

/** Where a session keeps what is logged: the device's log. */
export interface Keeper {
  logOf(walkId: string): Promise<WalkEvent[]>;
  append<K extends EventKind>(
    walkId: string,
    kind: K,
    body: EventBodies[K],
    time: EventTime,
  ): Promise<WalkEvent>;
  /** Puts back a walk that the browser has cleared under the page. */
  putBack(walkId: string, log: readonly WalkEvent[]): Promise<void>;
  /** Whether an error means that the device has no room, or has closed its log, and may keep it later. */
  refused(error: unknown): boolean;
  /** Opens the log anew after it refused. */
  reopen(): Promise<void>;
}

export interface SessionView {
  readonly state: LiveState;
  /** All entries, the newest last. The list grows in place: its length tells one view from the next. */
  readonly log: readonly WalkEvent[];
  /** Of these, the last so many are not on the device yet: it refuses them, and they wait in memory. */
  readonly unkept: number;
  /** The browser has cleared the device's storage under this walk, and it was put back from here. */
  readonly cleared: boolean;
  /** Undefined until the log was read. */
  readonly ready: boolean;
}

/** What was asked for and is not kept yet. */
type Asked = {
  [K in EventKind]: { readonly kind: K; readonly body: EventBodies[K]; readonly time: EventTime };
}[EventKind];

/** Of entries that have waited and are kept at last, one in so many is shown. */
const SHOWN_EVERY = 20;
/** A log that neither keeps nor refuses for so long is stuck: opened anew, it does one or the other. */
const STUCK_MS = 10_000;
/** An entry that is neither kept nor refused for so long is shown as one that waits: a press is never unseen. */
const LATE_MS = 3000;
/** After a refusal it is tried again so often. */
const RETRY_MS = 2000;

/**
 * A walk under way, without a screen: entries are kept in their order and folded into what must be known to
 * log on, at the same cost at entry 30,000 as at entry 10. What the device refuses waits, counts meanwhile, and is
 * kept when there is room. Screens subscribe to it.
 */
export class WalkSession {
  private readonly log: WalkEvent[] = [];
  /** Where it stands by what is kept. */
  private state: LiveState = NOT_BEGUN;
  private readonly asked: Asked[] = [];
  private refused = false;
  private cleared = false;
  private view: SessionView = { state: NOT_BEGUN, log: this.log, unkept: 0, cleared: false, ready: false };
  private readonly listeners = new Set<() => void>();
  private chain: Promise<unknown> = Promise.resolve();

  constructor(
    readonly walkId: string,
    private readonly keeper: Keeper,
    private readonly retryMs = RETRY_MS,
    private readonly lateMs = LATE_MS,
  ) {
    void this.reread().catch(() => undefined);
  }

  /**
   * Takes the log as the device has it: at first, and where something was logged past this session (the beginning
   * is).
   */
  reread(): Promise<void> {
    const read = this.chain.then(async () => {
      const log = await this.keeper.logOf(this.walkId);
      this.log.splice(0, this.log.length, ...log);
      this.state = liveStateOf(this.log);
      this.show();
    });
    this.chain = read.catch(() => undefined);
    return read;
  }

  /**
   * Kept in the order in which it was asked for; resolves when it is on the device. @throws what is no refusal of
   * the device's; then nothing has changed.
   */
  append<K extends EventKind>(kind: K, body: EventBodies[K], time: EventTime): Promise<WalkEvent> {
    const entry = { kind, body, time } as unknown as Asked;
    this.asked.push(entry);
    if (this.refused) this.show();
    const kept = this.chain.then(() => this.keep(entry));
    this.chain = kept.catch(() => undefined);
    return kept;
  }

  /** Withdraws the last entry that a person made; undefined when there is none. */
  async undo(timeOf: (walkS: number) => EventTime): Promise<WalkEvent | undefined> {
    const { undoable } = this.view.state;
    if (!undoable) return undefined;
    const { deviceId, seq, time } = undoable;
    return this.append(
      'correction',
      { amends: { deviceId, seq }, action: 'withdraw', reason: phrases.undoneInTheWalk },
      timeOf(time.walkS),
    );
  }

  /** The device has not got this walk any more: what is in memory goes back, before the next press needs it. */
  putBack(): Promise<void> {
    const back = this.chain.then(() => this.restore());
    this.chain = back.catch(() => undefined);
    return back;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = (): SessionView => this.view;

  /** Where the walk stands with all that was pressed, kept or not yet: what the next press of a key means. */
  readonly expected = (): LiveState => {
    const waiting = this.waiting();
    return waiting.some((e) => e.kind === 'correction')
      ? liveStateOf([...this.log, ...waiting])
      : waiting.reduce(withEntry, this.state);
  };

  private async keep(entry: Asked): Promise<WalkEvent> {
    for (;;) {
      const stuck = setInterval(() => void this.keeper.reopen().catch(() => undefined), STUCK_MS);
      const late = setTimeout(() => {
        this.refused = true;
        this.show();
      }, this.lateMs);
      try {
        const event = await this.write(entry).finally(() => {
          clearInterval(stuck);
          clearTimeout(late);
        });
        this.asked.shift();
        // Until all that waited is kept, it is shown as waiting.
        this.refused &&= this.asked.length > 0;
        this.log.push(event);
        this.state = event.kind === 'correction' ? liveStateOf(this.log) : withEntry(this.state, event);
        // What has waited for long is many: shown one by one, it would come in more slowly than gear adds to it.
        if (!this.refused || this.asked.length % SHOWN_EVERY === 0) this.show();
        return event;
      } catch (error) {
        if (!this.keeper.refused(error)) {
          this.asked.shift();
          if (this.refused) this.show();
          throw error;
        }
        this.refused = true;
        this.show();
        await new Promise((wait) => setTimeout(wait, this.retryMs));
        const reopened = this.keeper.reopen().catch(() => undefined);
        await Promise.race([reopened, new Promise((wait) => setTimeout(wait, 5 * this.retryMs))]);
      }
    }
  }

  private async write({ kind, body, time }: Asked): Promise<WalkEvent> {
    try {
      return await this.keeper.append(this.walkId, kind, body, time);
    } catch (error) {
      if (!(error instanceof Cleared)) throw error;
      await this.restore();
      return this.keeper.append(this.walkId, kind, body, time);
    }
  }

  private async restore(): Promise<void> {
    this.cleared = true;
    await this.keeper.putBack(this.walkId, this.log);
    this.show();
  }

  /** Entries that wait, as they will be when they are kept: numbers are given in their order. */
  private waiting(): WalkEvent[] {
    const last = this.log.at(-1);
    return this.asked.map(
      ({ kind, body, time }, i) =>
        ({
          walkId: this.walkId,
          deviceId: last?.deviceId ?? '',
          seq: (last?.seq ?? 0) + 1 + i,
          version: 1,
          kind,
          body,
          time,
        }) as WalkEvent,
    );
  }

  private show(): void {
    const waiting = this.refused ? this.waiting() : [];
    const log = waiting.length === 0 ? this.log : [...this.log, ...waiting];
    const state = waiting.length === 0 ? this.state : this.expected();
    this.view = { state, log, unkept: waiting.length, cleared: this.cleared, ready: true };
    for (const listener of this.listeners) listener();
  }
}
