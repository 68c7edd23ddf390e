import type { Ends } from '@urvek/core';

export interface Entry {
  readonly label: string;
  readonly ratio: number | undefined;
  readonly ends: Ends | undefined;
  readonly n: string;
}
