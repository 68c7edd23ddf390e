import type { WalkEvent } from '@urvek/core';

/** An event in a few words. */
export function eventText(event: WalkEvent): string {
  switch (event.kind) {
    case 'begin': return `begun, baseline ${event.body.baselineGrade}`;
    case 'dropoutBegin': return 'dropout begins';
    case 'dropoutEnd': return 'dropout ends';
    case 'grade': return `grade ${event.body.grade}`;
    case 'mark': return `mark ${event.body.name ?? ''} ${event.body.reading.travelledM.toFixed(1)} m, ${event.body.reading.method}`;
    case 'turn': return 'turned round';
    case 'reconnected': return `reconnected ${event.body.how}`;
    case 'note': return `“${event.body.text}”`;
    case 'gap': return 'gap: nothing could be logged';
    case 'end': return `ended: ${event.body.reason}`;
    case 'correction': return `correction (${event.body.action}): ${event.body.reason}`;
  }
}
