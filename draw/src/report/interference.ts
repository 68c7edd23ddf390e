import type { Setup } from '@urvek/contract';
import { interferenceRatio } from '@urvek/core';

/** What a link bears of one source, as a ratio; or what is still missing for one. */
export function interferenceText(record: NonNullable<Setup['interference']>[number]): string {
  try {
    const { atFixedDb, atMobileDb, dutyDb } = interferenceRatio(record);
    const said = [
      ['fixed end', atFixedDb],
      ['mobile end', atMobileDb],
    ].flatMap(([end, db]) => (typeof db === 'number' ? [`${db.toFixed(1)} dB at the ${end}`] : []));
    return said.length === 0
      ? 'No ratio: it wants what the source puts out, how far or how well cabled it is to an end, and the wanted level there when the link just fails.'
      : `Just fails at wanted over unwanted ${said.join(', ')}${dutyDb > 0.05 ? `; by its mean, ${dutyDb.toFixed(1)} dB more` : ''}.`;
  } catch (error) {
    return (error as RangeError).message;
  }
}
