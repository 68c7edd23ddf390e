import type { LengthUnit } from '@urvek/core';
import { rangeLanes } from '@urvek/draw';
import type { RangeView } from '@urvek/study';

export const lanesOf = ({ summary, walks }: RangeView, each: boolean, unit: LengthUnit) =>
  summary.fitted.filter((c) => c.walks > 0).flatMap((cell) => rangeLanes(cell, each ? walks : [], unit));
