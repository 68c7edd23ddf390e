import type { Setup } from '@urvek/contract';
import { interferenceRatio } from '@urvek/core';
import * as phrases from './phrases.ts';

/** What a link bears of one source, as a ratio; or what is still missing for one. */
export function interferenceText(record: NonNullable<Setup['interference']>[number]): string {
  try {
    const { atFixedDb, atMobileDb, dutyDb } = interferenceRatio(record);
    const said = [
      [phrases.fixedEnd, atFixedDb],
      [phrases.mobileEnd, atMobileDb],
    ].flatMap(([end, db]) => (typeof db === 'number' ? [phrases.dbAtThe(db.toFixed(1), end)] : []));
    return said.length === 0
      ? phrases.noRatioItWantsWhatThe
      : phrases.justFailsAtWantedOverUnwanted(
          said.join(', '),
          dutyDb > 0.05 ? phrases.byItsMeanDbMore(dutyDb.toFixed(1)) : '',
        );
  } catch (error) {
    return (error as RangeError).message;
  }
}
