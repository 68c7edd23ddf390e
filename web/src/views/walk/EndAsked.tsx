import { END_REASONS, type EventBodies } from '@urvek/core';
import { Ask } from './Ask.tsx';
import type { Log } from './modesParts.tsx';
import * as phrases from './phrases.ts';

const LOG_THEM = phrases.logThem;
const LEAVE_THEM = phrases.leaveThemOut;

/** Why the walk ends; first, what becomes of a count that is not logged yet. */
export const EndAsked = ({
  open,
  log,
  onCounted,
  onEnd,
  onClose,
}: {
  open: EventBodies['hits'] | undefined;
  log: Log;
  onCounted: () => void;
  onEnd: (reason: EventBodies['end']['reason']) => void;
  onClose: () => void;
}) =>
  open ? (
    <Ask
      title={phrases.ofAreCountedAndNotLogged(open.hits, open.presses)}
      choices={[LOG_THEM, LEAVE_THEM] as const}
      onChoose={(choice) => {
        if (choice === LOG_THEM) log('hits', open);
        onCounted();
      }}
      onCancel={onClose}
    />
  ) : (
    <Ask
      title={phrases.whyDoesTheWalkEnd}
      choices={END_REASONS}
      onChoose={(reason) => {
        onClose();
        onEnd(reason);
      }}
      onCancel={onClose}
    />
  );
