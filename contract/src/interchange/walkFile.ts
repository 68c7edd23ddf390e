import type { WalkEvent } from '@urvek/core';
import { validateBatch } from '../schemas/event.ts';
import { validateHeader, type WalkHeader } from '../schemas/walk.ts';
import { InterchangeError } from './interchange.ts';

const FORMAT = 'urvek-walk';

/** A walk as a device saves it. A header is absent in files of before version 1, which held the log alone. */
export interface WalkFile {
  readonly walkId: string;
  readonly header: WalkHeader | undefined;
  readonly log: readonly WalkEvent[];
}

export const writeWalkFile = (header: WalkHeader, log: readonly WalkEvent[]): string =>
  JSON.stringify({ format: FORMAT, version: 1, header, log }, null, 1);

/** Reads a saved walk from parsed JSON. @throws InterchangeError naming what is wrong */
export function readWalkFile(given: unknown): WalkFile {
  const { format, header, log } = (
    Array.isArray(given) ? { format: FORMAT, log: given as unknown[] } : given
  ) as {
    format?: unknown;
    header?: unknown;
    log?: unknown;
  };
  if (format !== FORMAT || !Array.isArray(log))
    throw new InterchangeError('not a walk that was saved as a file');
  const walkId = (log[0] as { walkId?: unknown } | undefined)?.walkId;
  if (typeof walkId !== 'string') throw new InterchangeError('its log is empty');
  try {
    return {
      walkId,
      // A walk of which nothing was known yet has no product: its header is as loose as it was begun.
      header: header === undefined ? undefined : (looseHeader(header) as WalkHeader),
      log: validateBatch(walkId, log),
    };
  } catch (error) {
    throw new InterchangeError((error as Error).message);
  }
}

function looseHeader(header: unknown): unknown {
  const { productId, rigId, pathId } = header as Partial<WalkHeader>;
  const unfiled = productId === '' && rigId === '' && pathId === '';
  validateHeader(unfiled ? { ...(header as object), productId: '-', rigId: '-', pathId: '-' } : header);
  return header;
}
