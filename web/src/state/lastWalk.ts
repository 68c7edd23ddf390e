import { WALK_MODES, type WalkMode } from '@urvek/core';

/** How the last walk on this device was begun: the next is offered the same, and never something else. */
export interface LastWalk {
  readonly mode: WalkMode;
  readonly gear: 'real' | 'simulated';
}

const KEY = 'urvek.last-walk';

/** Undefined before the first walk, or where what is kept cannot be read. */
export function lastWalk(comparisonId: string): LastWalk | undefined {
  try {
    const kept = JSON.parse(
      localStorage.getItem(`${KEY}.${comparisonId}`) ?? 'null',
    ) as Partial<LastWalk> | null;
    const mode = WALK_MODES.find((m) => m === kept?.mode);
    const gear = kept?.gear === 'real' || kept?.gear === 'simulated' ? kept.gear : undefined;
    return mode && gear ? { mode, gear } : undefined;
  } catch {
    return undefined;
  }
}

export const keepLastWalk = (comparisonId: string, walk: LastWalk): void =>
  localStorage.setItem(`${KEY}.${comparisonId}`, JSON.stringify(walk));
