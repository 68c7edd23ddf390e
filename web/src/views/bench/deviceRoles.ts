import type { DeviceRole } from '@urvek/contract';

/** What a paired device may do. */
export const MAY: Readonly<Record<DeviceRole, string>> = {
  logger: 'log walks and read',
  editor: 'change comparisons too',
};
