import type { StoredWalk, WalkHeader } from '@urvek/contract';
import { copied, headerOf, moved, standingLog, type MakingAnew } from './copied.ts';
import * as phrases from './phrases.ts';

/** What a walk is a walk of. */
export type WalkedOf = Pick<WalkHeader, 'productId' | 'rigId' | 'pathId'>;

/** The same log as a walk of another product, rig or path. @throws CannotMakeAnew */
export const refileWalk = (walk: StoredWalk, of: WalkedOf, making: MakingAnew): StoredWalk =>
  copied(
    { ...headerOf(walk.header, false), ...of },
    standingLog(walk).map((e) => moved(e, 0)),
    phrases.filedAnew(making.reason),
    making,
  );
