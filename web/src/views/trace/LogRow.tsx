import type { Correction, WalkEvent } from '@urvek/core';
import { Link } from 'react-router';
import { eventText } from '../../state/eventText.ts';
import { correctionText } from './correctionText.ts';
import * as phrases from './phrases.ts';

/** One entry of a log: when, what, and what was made of it. */
export function LogRow({
  event,
  own,
  pointed,
  film,
  onSelect,
  onAmend,
}: {
  event: WalkEvent;
  /** Corrections of it. */
  own: readonly Correction[];
  pointed: boolean;
  /** Where its film is; absent: there is none. */
  film: string | undefined;
  onSelect: () => void;
  onAmend: () => void;
}) {
  return (
    <tr
      className={pointed ? 'bg-white shadow-[inset_4px_0_0_var(--color-accent)]' : ''}
      {...(pointed ? { 'data-pointed': true } : {})}
    >
      <td className="figure whitespace-nowrap">
        <button
          type="button"
          className="underline decoration-rule decoration-dotted underline-offset-4"
          aria-label={phrases.pointAtAtS(eventText(event), event.time.walkS.toFixed(1))}
          onClick={onSelect}
        >
          {event.time.walkS.toFixed(1)} s
        </button>
      </td>
      <td>
        <span className={own.at(-1)?.action === 'withdraw' ? 'line-through' : ''}>{eventText(event)}</span>
        {event.kind === 'note' && event.body.voice && (
          <audio
            controls
            preload="none"
            className="block h-8 max-w-full"
            aria-label={phrases.spokenNoteAtS(event.time.walkS.toFixed(1))}
            src={`data:${event.body.voice.mime};base64,${event.body.voice.base64}`}
          />
        )}
        {own.map((correction, i) => (
          <span key={i} className="block text-[0.87rem] text-faint">
            {correctionText(event, correction)}
          </span>
        ))}
      </td>
      <td>
        {event.kind !== 'gap' && (
          <button
            className="btn-quiet"
            aria-label={phrases.correctAtS(eventText(event), event.time.walkS.toFixed(1))}
            onClick={onAmend}
          >
            {phrases.correct2}
          </button>
        )}
        {film && event.kind !== 'recording' && (
          <Link
            className="btn-quiet underline"
            aria-label={phrases.inTheFilmAtS(eventText(event), event.time.walkS.toFixed(1))}
            to={`${film}?at=${event.time.walkS}`}
          >
            {phrases.film}
          </Link>
        )}
      </td>
    </tr>
  );
}
