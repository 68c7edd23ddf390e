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

/** Where a session keeps what is logged: the device's log. */
export interface Keeper {
  logOf(walkId: string): Promise<WalkEvent[]>;
  append<K extends EventKind>(
    walkId: string,
    kind: K,
    body: EventBodies[K],
    time: EventTime,
  ): Promise<WalkEvent>;
}

export interface SessionView {
  readonly state: LiveState;
  /** All entries, the newest last. The list grows in place: its length tells one view from the next. */
  readonly log: readonly WalkEvent[];
  /** Undefined until the log was read. */
  readonly ready: boolean;
}

/**
 * A walk under way, without a screen: entries are kept in their order and folded into what must be known to
 * log on, at the same cost at entry 30,000 as at entry 10. Screens subscribe to it.
 */
export class WalkSession {
  private readonly log: WalkEvent[] = [];
  private view: SessionView = { state: NOT_BEGUN, log: this.log, ready: false };
  private readonly listeners = new Set<() => void>();
  private chain: Promise<unknown> = Promise.resolve();

  constructor(
    readonly walkId: string,
    private readonly keeper: Keeper,
  ) {
    void this.reread().catch(() => undefined);
  }

  /** Takes the log as the device has it: at first, and where something was logged past this session (the beginning is). */
  reread(): Promise<void> {
    const read = this.chain.then(async () => {
      const log = await this.keeper.logOf(this.walkId);
      this.log.splice(0, this.log.length, ...log);
      this.show(liveStateOf(this.log), true);
    });
    this.chain = read.catch(() => undefined);
    return read;
  }

  /**
   * Kept in the order in which it was asked for. @throws what the device says when it does not keep it;
   * then nothing has changed.
   */
  append<K extends EventKind>(kind: K, body: EventBodies[K], time: EventTime): Promise<WalkEvent> {
    const kept = this.chain.then(async () => {
      const event = await this.keeper.append(this.walkId, kind, body, time);
      this.log.push(event);
      this.show(
        event.kind === 'correction' ? liveStateOf(this.log) : withEntry(this.view.state, event),
        true,
      );
      return event;
    });
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
      { amends: { deviceId, seq }, action: 'withdraw', reason: 'undone in the walk' },
      timeOf(time.walkS),
    );
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = (): SessionView => this.view;

  private show(state: LiveState, ready: boolean): void {
    this.view = { state, log: this.log, ready };
    for (const listener of this.listeners) listener();
  }
}
