import { END_REASONS, type EventBodies } from '@urvek/core';
import { Ask } from './Ask.tsx';
import type { Log } from './modesParts.tsx';

const LOG_THEM = 'Log them';
const LEAVE_THEM = 'Leave them out';

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
      title={`${open.hits} of ${open.presses} are counted and not logged. Log them before the walk ends?`}
      choices={[LOG_THEM, LEAVE_THEM] as const}
      onChoose={(choice) => {
        if (choice === LOG_THEM) log('hits', open);
        onCounted();
      }}
      onCancel={onClose}
    />
  ) : (
    <Ask
      title="Why does the walk end?"
      choices={END_REASONS}
      onChoose={(reason) => {
        onClose();
        onEnd(reason);
      }}
      onCancel={onClose}
    />
  );
