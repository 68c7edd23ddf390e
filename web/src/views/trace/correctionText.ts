import { byMethod, formatLength, type Correction, type WalkEvent } from '@urvek/core';
import { eventText } from '../../state/eventText.ts';

function becomes(event: WalkEvent, c: Correction): string {
  switch (c.action) {
    case 'withdraw':
      return 'withdrawn';
    case 'move':
      return `moved to ${c.walkS?.toFixed(1)} s`;
    case 'remeasure':
      return `measured again: ${c.reading ? `${formatLength(c.reading.travelledM)}, ${byMethod(c.reading.method)}` : ''}`;
    case 'retime':
      return `lag corrected to ${c.delay?.reactionS} s`;
    case 'restate':
      return 'begun otherwise';
    case 'regrade':
      return `made grade ${c.grade}`;
    case 'rewrite':
      return `it was: ${c.entry ? eventText({ ...event, ...c.entry } as WalkEvent) : ''}`;
    case 'add':
      return 'entered afterwards';
  }
}

/** What was made of an entry, why, and by whom. */
export const correctionText = (event: WalkEvent, c: Correction): string =>
  `${becomes(event, c)}: ${c.reason}${c.author ? ` (${c.author})` : ''}`;
