import {
  END_REASONS,
  gradeOfWords,
  LANDMARKS,
  looksMisread,
  parseLength,
  RECONNECT_WAYS,
  type DistanceMethod,
  type EventBodies,
  type Kind,
} from '@urvek/core';
import { Ask } from './Ask.tsx';
import { NoteForm } from './NoteForm.tsx';
import { Readings } from './Readings.tsx';
import { TypedMark } from './TypedMark.tsx';
import type { Log } from './modesParts.tsx';

/** What a key asks about before it logs. */
export type Asking = 'reconnected' | 'end' | 'note' | 'mark' | 'landmark' | 'reading' | undefined;

/** The question that stands in place of the keys. */
export function Asked({
  asking,
  kind,
  marksM,
  log,
  markAt,
  onEnd,
  onClose,
}: {
  asking: Asking;
  kind: Kind;
  /** Distances of the last marks. */
  marksM: readonly number[];
  log: Log;
  markAt: (travelledM: number, method: DistanceMethod) => void;
  onEnd: (reason: EventBodies['end']['reason']) => void;
  onClose: () => void;
}) {
  const done = (act: () => void) => (): void => {
    onClose();
    act();
  };
  return (
    <>
      {asking === 'reconnected' && (
        <Ask
          title="Reconnected how?"
          choices={RECONNECT_WAYS}
          onChoose={(how) => done(() => log('reconnected', { how }))()}
          onCancel={onClose}
        />
      )}
      {asking === 'landmark' && (
        <Ask
          title="What is passed?"
          choices={LANDMARKS}
          onChoose={(what) => done(() => log('landmark', { what }))()}
          onCancel={onClose}
        />
      )}
      {asking === 'end' && (
        <Ask
          title="Why does the walk end?"
          choices={END_REASONS}
          onChoose={(reason) => done(() => onEnd(reason))()}
          onCancel={onClose}
        />
      )}
      {asking === 'note' && (
        <NoteForm
          gradeOf={(text) => gradeOfWords(text, kind.id)}
          words={kind.words}
          onNote={(text, grade, voice) =>
            done(() => {
              log('note', { text, ...(voice ? { voice } : {}) });
              if (grade !== undefined) log('grade', { grade });
            })()
          }
          onCancel={onClose}
        />
      )}
      {asking === 'mark' && (
        <TypedMark
          questioned={(text) => questioned(text, marksM)}
          onMark={(text, method) => done(() => markAt(parseLength(text).valueM, method))()}
          onCancel={onClose}
        />
      )}
      {asking === 'reading' && <Readings add={log} direction={kind.direction} onClose={onClose} />}
    </>
  );
}

/** What is wrong or odd with a typed distance; undefined when it can be taken as it is. */
function questioned(
  text: string,
  neighboursM: readonly number[],
): { readonly refused: boolean; readonly what: string } | undefined {
  try {
    const { valueM } = parseLength(text);
    return looksMisread(valueM, neighboursM)
      ? { refused: false, what: 'A thousand times off the last marks: was it another unit?' }
      : undefined;
  } catch {
    return { refused: true, what: 'Write a distance, as in "40" or "0.12 km".' };
  }
}
