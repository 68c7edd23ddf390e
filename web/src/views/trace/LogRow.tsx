import type { Correction, WalkEvent } from '@urvek/core';
import { Link } from 'react-router';
import { eventText } from '../../state/eventText.ts';
import { correctionText } from './correctionText.ts';

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
          aria-label={`Point at ${eventText(event)} at ${event.time.walkS.toFixed(1)} s`}
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
            aria-label={`Spoken note at ${event.time.walkS.toFixed(1)} s`}
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
            aria-label={`Correct: ${eventText(event)} at ${event.time.walkS.toFixed(1)} s`}
            onClick={onAmend}
          >
            Correct
          </button>
        )}
        {film && event.kind !== 'recording' && (
          <Link
            className="btn-quiet underline"
            aria-label={`In the film: ${eventText(event)} at ${event.time.walkS.toFixed(1)} s`}
            to={`${film}?at=${event.time.walkS}`}
          >
            film
          </Link>
        )}
      </td>
    </tr>
  );
}
