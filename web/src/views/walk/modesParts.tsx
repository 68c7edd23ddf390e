import type { EventBodies, EventKind, Kind, WalkEvent } from '@urvek/core';
import type { SetupPath } from '@urvek/study';

export type Log = <K extends EventKind>(kind: K, body: EventBodies[K]) => void;

export interface PanelProps {
  readonly log: readonly WalkEvent[];
  readonly path: SetupPath | undefined;
  readonly kind: Kind;
  readonly add: Log;
  /** Marks a place by its travelled distance. */
  mark(atM: number, name?: string): void;
  /** What is counted and not logged yet; undefined once it is. */
  onOpenCount(count: EventBodies['hits'] | undefined): void;
}
