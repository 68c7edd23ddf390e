import { writeWalkFile, type WalkHeader } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { download } from '../../state/download.ts';

/** The log of a walk as a file on this device: whatever becomes of the browser's storage, it is there. */
export const saveLog = (header: WalkHeader, log: readonly WalkEvent[]): void =>
  download(`walk-${header.id}.json`, writeWalkFile(header, log), 'application/json');
