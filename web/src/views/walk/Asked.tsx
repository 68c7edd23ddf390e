import {
  formatLength,
  gradeOfWords,
  LANDMARKS,
  RECONNECT_WAYS,
  type DistanceMethod,
  type DistanceReading,
  type EventBodies,
  type Kind,
  type PlacedName,
} from '@urvek/core';
import type { ComponentProps } from 'react';
import { AgainstForm } from '../../components/AgainstForm.tsx';
import { ReturnFocus } from '../../components/ReturnFocus.tsx';
import { Ask } from './Ask.tsx';
import { EndAsked } from './EndAsked.tsx';
import { NoteForm } from './NoteForm.tsx';
import { PlaceAsked } from './PlaceAsked.tsx';
import { Readings } from './Readings.tsx';
import type { Log } from './modesParts.tsx';
import * as phrases from './phrases.ts';

/** What a key asks about before it logs. */
export type Asking =
  | 'reconnected'
  | 'end'
  | 'note'
  | 'mark'
  | 'landmark'
  | 'reading'
  | 'fixed end'
  /** Which post, touched when. */
  | { readonly postMs: number }
  /** A mark that is nearer than the one before: is it the way back? */
  | { readonly nearer: DistanceReading }
  | undefined;

/** The question that stands in place of the keys. */
export function Asked({
  asking,
  kind,
  marksM,
  usual,
  measured,
  points,
  beside,
  open,
  log,
  onMark,
  onTurned,
  onPost,
  posts,
  onCounted,
  onEnd,
  onClose,
}: {
  asking: Asking;
  kind: Kind;
  /** Distances of the last marks. */
  marksM: readonly number[];
  usual: DistanceMethod;
  /** The last reading of an instrument. */
  measured: EventBodies['measured'] | undefined;
  /** What the path has by name. */
  points: readonly PlacedName[];
  /** Whom this walk can be held against; absent where nothing is set up. */
  beside: Pick<ComponentProps<typeof AgainstForm>, 'setup' | 'walked'> | undefined;
  /** Counted and not logged yet. */
  open: EventBodies['hits'] | undefined;
  log: Log;
  onMark: (reading: DistanceReading | undefined, name?: string) => void;
  /** The mark is on the way back, or not. */
  onTurned: (reading: DistanceReading, turned: boolean) => void;
  /** Posts of the path, by name. */
  posts: readonly string[];
  onPost: (name: string, inputMs: number) => void;
  /** The open count is settled. */
  onCounted: () => void;
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
          title={phrases.reconnectedHow}
          choices={RECONNECT_WAYS}
          onChoose={(how) => done(() => log('reconnected', { how }))()}
          onCancel={onClose}
        />
      )}
      {asking === 'landmark' && (
        <Ask
          title={phrases.passedOrNoticed}
          choices={LANDMARKS}
          onChoose={(what) => done(() => log('landmark', { what }))()}
          onCancel={onClose}
        />
      )}
      {asking === 'end' && <EndAsked {...{ open, log, onCounted, onEnd, onClose }} />}
      {asking === 'note' && (
        <ReturnFocus label={phrases.note}>
          <NoteForm
            gradeOf={(text) => gradeOfWords(text, kind.id, beside?.setup.sayings)}
            words={kind.words}
            onNote={(text, grade, voice) =>
              done(() => {
                log('note', { text, ...(voice ? { voice } : {}) });
                if (grade !== undefined) log('grade', { grade });
              })()
            }
            onCancel={onClose}
          >
            {beside && <AgainstForm {...beside} onSaid={(body) => done(() => log('against', body))()} />}
          </NoteForm>
        </ReturnFocus>
      )}
      {(asking === 'mark' || asking === 'fixed end') && (
        <PlaceAsked {...{ asking, marksM, usual, points, log, onMark, onClose }} />
      )}
      {typeof asking === 'object' && 'postMs' in asking && (
        <Ask
          title={phrases.whichPostIsIt}
          choices={posts}
          onChoose={(name) => done(() => onPost(name, asking.postMs))()}
          onCancel={onClose}
        />
      )}
      {typeof asking === 'object' && 'nearer' in asking && (
        <Ask
          title={phrases.isNearerThanTheMarkBefore(formatLength(asking.nearer.travelledM))}
          choices={[phrases.yesIHaveTurnedRound, phrases.noMarkItAsItIs] as const}
          onChoose={(choice) => done(() => onTurned(asking.nearer, choice === phrases.yesIHaveTurnedRound))()}
          onCancel={onClose}
        />
      )}
      {asking === 'reading' && (
        <ReturnFocus label={phrases.reading}>
          <Readings add={log} direction={kind.direction} before={measured} onClose={onClose} />
        </ReturnFocus>
      )}
    </>
  );
}
