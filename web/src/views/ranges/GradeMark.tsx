import { stateOf, type Grade } from '@urvek/core';

const SHAPE = {
  clear: 'bg-clear text-white',
  degraded: 'border-2 border-degraded border-dashed',
  lost: 'border-x-2 border-lost',
} as const;

/** A grade by shape as well as colour: solid, dashed, open. */
export const GradeMark = ({ grade }: { grade: Grade }) => (
  <span className={`figure inline-grid size-7 place-items-center ${SHAPE[stateOf(grade)]}`}>{grade}</span>
);
