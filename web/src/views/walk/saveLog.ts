import type { WalkEvent } from '@urvek/core';
import { download } from '../../state/download.ts';

/** The log of a walk as a file on this device: whatever becomes of the browser's storage, it is there. */
export const saveLog = (walkId: string, log: readonly WalkEvent[]): void =>
  download(`walk-${walkId}.json`, JSON.stringify(log, null, 1), 'application/json');
