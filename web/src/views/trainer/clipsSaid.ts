import type { ClipKind } from './clip.ts';
import * as phrases from './phrases.ts';

export const CLIPS_SAID: Readonly<Record<ClipKind, string>> = {
  speech: phrases.aVoice,
  sound: phrases.aTune,
  picture: phrases.aPictureThatMoves,
};
