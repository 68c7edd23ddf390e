import type { WalkMode } from '@urvek/core';
import { Hits } from './Hits.tsx';
import { Ladder } from './Ladder.tsx';
import { ReadBack } from './ReadBack.tsx';
import { StopAndCall } from './StopAndCall.tsx';
import type { PanelProps } from './modesParts.tsx';

/** What a mode asks for, beside the keys that every walk has. */
export function ModePanel({ mode, ...props }: PanelProps & { mode: WalkMode }) {
  switch (mode) {
    case 'stop and call':
      return <StopAndCall {...props} />;
    case 'hits':
      return <Hits {...props} />;
    case 'read-back':
      return <ReadBack {...props} />;
    case 'ladder':
      return <Ladder {...props} />;
    default:
      return null;
  }
}
