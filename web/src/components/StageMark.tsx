import type { StageMark as Mark } from '@urvek/study';
import * as phrases from './phrases.ts';

const SAID: Readonly<Record<Mark, string>> = {
  done: 'done',
  part: phrases.partlyDone,
  missing: phrases.notBegun,
  stale: phrases.toLookAtAgain,
};

/** How far a stage is, by shape: a full square, a half one, an empty ring, a triangle. */
export function StageMark({ mark, className = '' }: { mark: Mark; className?: string }) {
  return (
    <svg
      viewBox="0 0 12 12"
      role="img"
      aria-label={SAID[mark]}
      data-mark={mark}
      className={`inline-block size-3 shrink-0 ${className}`}
      fill="none"
      stroke="currentColor"
      strokeWidth={1.5}
    >
      {mark === 'done' && <rect x={1.5} y={1.5} width={9} height={9} fill="currentColor" />}
      {mark === 'part' && (
        <>
          <rect x={1.5} y={1.5} width={9} height={9} />
          <rect x={1.5} y={6} width={9} height={4.5} fill="currentColor" stroke="none" />
        </>
      )}
      {mark === 'missing' && <circle cx={6} cy={6} r={4.3} />}
      {mark === 'stale' && <path d="M6 1.5 11 10.5H1Z" strokeLinejoin="round" />}
    </svg>
  );
}
