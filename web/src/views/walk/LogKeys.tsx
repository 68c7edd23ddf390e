import { GRADES, type Grade, type WalkMode } from '@urvek/core';
import { Length } from '../../components/Length.tsx';
import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';
import { DropoutPress, HoldPress } from './HoldPress.tsx';

/** The keys of a walk: large, and the same by keyboard. */
export function LogKeys({
  actions,
  mode,
  words,
  grade,
  post,
  hasWheel,
  turned,
  standing,
  hold,
  onDropout,
  onBack,
  onOtherPost,
}: {
  actions: Actions;
  mode: WalkMode;
  words: Readonly<Record<Grade, string>>;
  /** Absent until somebody graded it. */
  grade: Grade | undefined;
  post: { readonly name: string; readonly atM: number } | undefined;
  hasWheel: boolean;
  turned: boolean;
  standing: boolean;
  /** A dropout lasts as long as its key is held. */
  hold: boolean;
  onDropout: (inputMs: number) => void;
  onBack: (inputMs: number) => void;
  /** The mark key is held: it is another post. Absent where there is none to choose. */
  onOtherPost: ((inputMs: number) => void) | undefined;
}) {
  // At stands one grades what is called or pressed; while walking, what is noticed.
  const watching = mode === 'continuous' || mode === 'indoor' || mode === 'drive';
  const lost = grade === 1;
  const Dropout = hold ? HoldPress : DropoutPress;
  return (
    <div className="grid grid-cols-5 gap-2" role="group" aria-label="Log" data-log>
      {watching && <Dropout lost={lost} onBegin={onDropout} onEnd={onBack} tall={mode === 'drive'} />}
      {watching &&
        GRADES.map((g) => (
          <Press key={g} k={String(g)} actions={actions} pressed={grade === g}>
            <span className="figure text-xl">{g}</span>
            <span className="text-[0.87rem] leading-tight font-normal">{words[g]}</span>
          </Press>
        ))}
      <Press k="m" actions={actions} className="col-span-2" onHold={onOtherPost}>
        {post ? (
          <>
            Mark {post.name}
            <span className="font-normal">
              <Length m={post.atM} />
            </span>
          </>
        ) : hasWheel ? (
          'Mark the wheel'
        ) : (
          'Mark a distance …'
        )}
      </Press>
      <Press k="t" actions={actions} className="col-span-2" disabled={turned}>
        {turned ? 'Turned' : 'Turn round'}
      </Press>
      <Press k="n" actions={actions}>
        Note
      </Press>
      <Press k="s" actions={actions} className="col-span-2">
        {standing ? 'I go on' : 'I stand here'}
      </Press>
      <Press k="f" actions={actions}>
        Fixed end moved …
      </Press>
      <Press k="w" actions={actions}>
        At … m
      </Press>
      <Press k="l" actions={actions}>
        Door, hand-over …
      </Press>
      <Press k="x" actions={actions}>
        Tried 3, failed
      </Press>
      <Press k="v" actions={actions}>
        Reading …
      </Press>
      <Press k="r" actions={actions}>
        Recon&shy;nected …
      </Press>
      {watching && (
        <Press k="j" actions={actions} className="col-span-5">
          {lost ? 'It does not come back: end here' : 'Lost for good: end here'}
        </Press>
      )}
    </div>
  );
}
