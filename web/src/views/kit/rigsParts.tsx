import type { RigSettings } from '@urvek/core';

export interface Setting {
  readonly field: keyof RigSettings;
  readonly label: string;
  readonly suffix?: string;
  readonly span?: number;
}
