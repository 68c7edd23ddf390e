import type { LoggedAction, WalkEvent } from '@urvek/core';
import { createHash } from 'node:crypto';

/** A version-4-shaped UUID from a name, so that the demo has the same ids everywhere. */
export function uuidFrom(name: string): string {
  const hex = createHash('sha256').update(name).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** What a simulated operator logged, as events of one made-up device; `firstSeq` keeps its walks apart. */
export function eventsOf(
  walkId: string,
  actions: readonly LoggedAction[],
  originMs: number,
  firstSeq: number,
): WalkEvent[] {
  return [...actions]
    .sort((a, b) => a.atS - b.atS)
    .map(
      ({ atS, kind, body }, i) =>
        ({
          walkId,
          deviceId: uuidFrom('cindermoor/device'),
          seq: firstSeq + i,
          version: 1,
          kind,
          body,
          time: {
            walkS: Math.round(atS * 1000) / 1000,
            rate: 1,
            inputMs: Math.round(atS * 1000),
            originMs,
            wallMs: originMs + Math.round(atS * 1000),
          },
        }) as unknown as WalkEvent,
    );
}
