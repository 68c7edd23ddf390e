import type { PointerEvent } from 'react';
import type { PlanScale } from '@urvek/draw';
import { stepOf, type Handle } from './planHandles.ts';
import * as phrases from './phrases.ts';

/** A handle on the plan: dragged, moved by arrow keys, removed by the delete key. */
export const HandleMark = ({
  handle,
  scale,
  onGrab,
  onChange,
}: {
  handle: Handle;
  scale: PlanScale;
  onGrab: (e: PointerEvent<SVGCircleElement>) => void;
  /** Something is about to change by keys. */
  onChange: () => void;
}) => (
  <circle
    cx={scale.x(handle.at[0])}
    cy={scale.y(handle.at[1])}
    r={7}
    tabIndex={0}
    role="button"
    data-handle
    className="fill-sheet stroke-ink stroke-2 focus-visible:stroke-accent"
    style={{ cursor: 'grab' }}
    aria-label={phrases.mEastMNorthArrowKeys(handle.label, handle.at[0].toFixed(1), handle.at[1].toFixed(1))}
    onPointerDown={onGrab}
    onKeyDown={(e) => {
      const by = stepOf(e.key, e.shiftKey);
      if (!by && !(e.key === 'Delete' && handle.remove)) return;
      e.preventDefault();
      onChange();
      if (by) handle.move([handle.at[0] + by[0], handle.at[1] + by[1]]);
      else handle.remove?.();
    }}
  />
);
