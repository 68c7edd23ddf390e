import { byMethod, formatLength, type Correction, type WalkEvent } from '@urvek/core';
import { eventText } from '../../state/eventText.ts';
import * as phrases from './phrases.ts';

function becomes(event: WalkEvent, c: Correction): string {
  switch (c.action) {
    case 'withdraw':
      return 'withdrawn';
    case 'move':
      return phrases.movedToS(c.walkS?.toFixed(1));
    case 'remeasure':
      return phrases.measuredAgain(
        c.reading ? `${formatLength(c.reading.travelledM)}, ${byMethod(c.reading.method)}` : '',
      );
    case 'retime':
      return phrases.lagCorrectedToS(c.delay?.reactionS);
    case 'restate':
      return phrases.begunOtherwise;
    case 'regrade':
      return phrases.madeGrade(c.grade);
    case 'rewrite':
      return phrases.itWas(c.entry ? eventText({ ...event, ...c.entry } as WalkEvent) : '');
    case 'add':
      return phrases.enteredAfterwards;
  }
}

/** What was made of an entry, why, and by whom. */
export const correctionText = (event: WalkEvent, c: Correction): string =>
  `${becomes(event, c)}: ${c.reason}${c.author ? ` (${c.author})` : ''}`;
