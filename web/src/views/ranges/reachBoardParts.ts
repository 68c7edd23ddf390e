import type { LengthUnit } from '@urvek/core';
import type { ReachScale } from '@urvek/draw';
import type { KeyboardEvent } from 'react';

export interface Shown {
  readonly scale: ReachScale;
  readonly unit: LengthUnit;
  readonly selected: string | undefined;
  readonly onSelect: (id: string) => void;
  readonly onKey: (e: KeyboardEvent, id: string) => void;
}
