import { GRADES, type Grade, type WalkMode } from '@urvek/core';
import { Length } from '../../components/Length.tsx';
import { Press } from './controls.tsx';
import type { Actions } from './controlsParts.tsx';
import { DropoutPress, HoldPress } from './HoldPress.tsx';
import * as phrases from './phrases.ts';

/** Longer words in a narrow key leave room for the sign of the key that presses it. */
const BESIDE_SIGN = 'md:px-8';

/** The keys of a walk: large, and the same by keyboard. */
export function LogKeys({
  actions,
  mode,
  words,
  grade,
  post,
  due,
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
  /** One stands at that post, or nearly. */
  due: boolean;
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
    <div className="grid grid-cols-5 gap-2" role="group" aria-label={phrases.log} data-log>
      {watching && <Dropout lost={lost} onBegin={onDropout} onEnd={onBack} tall={mode === 'drive'} />}
      {watching &&
        GRADES.map((g) => (
          <Press key={g} k={String(g)} actions={actions} pressed={grade === g}>
            <span className="figure text-xl">{g}</span>
            <span className="text-[0.87rem] leading-tight font-normal">{words[g]}</span>
          </Press>
        ))}
      <Press
        k="m"
        actions={actions}
        className={`col-span-2 ${due ? 'border-l-8 border-l-accent' : ''}`}
        onHold={onOtherPost}
      >
        {post ? (
          <>
            {phrases.mark(post.name)}
            <span className="font-normal">
              <Length m={post.atM} />
            </span>
          </>
        ) : hasWheel ? (
          phrases.markTheWheel
        ) : (
          phrases.markADistance2
        )}
      </Press>
      <Press k="t" actions={actions} className="col-span-2" disabled={turned}>
        {turned ? phrases.turned : phrases.turnRound}
      </Press>
      <Press k="n" actions={actions}>
        {phrases.note}
      </Press>
      <Press k="s" actions={actions} className="col-span-2">
        {standing ? phrases.iGoOn : phrases.iStandHere}
      </Press>
      <Press k="f" actions={actions} className={BESIDE_SIGN}>
        {phrases.fixedEndMoved}
      </Press>
      <Press k="w" actions={actions}>
        {phrases.atM}
      </Press>
      <Press k="l" actions={actions} className={BESIDE_SIGN}>
        {phrases.doorHandOver}
      </Press>
      <Press k="x" actions={actions} className={BESIDE_SIGN}>
        {phrases.tried3Failed}
      </Press>
      <Press k="v" actions={actions}>
        {phrases.reading2}
      </Press>
      <Press k="r" actions={actions}>
        {phrases.reconNected}
      </Press>
      {watching && (
        <Press k="j" actions={actions} className="col-span-5">
          {lost ? phrases.itDoesNotComeBackEnd : phrases.lostForGoodEndHere}
        </Press>
      )}
    </div>
  );
}
