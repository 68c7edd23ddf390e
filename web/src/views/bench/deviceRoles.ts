import type { DeviceRole } from '@urvek/contract';
import * as phrases from './phrases.ts';

/** What a paired device may do. */
export const MAY: Readonly<Record<DeviceRole, string>> = {
  logger: phrases.logWalksAndRead,
  editor: phrases.changeComparisonsToo,
};
