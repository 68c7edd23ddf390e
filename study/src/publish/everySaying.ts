import type { Entry, EventBodies, WalkEvent } from '@urvek/core';

/** What an event says, by its kind. */
export type Saying = Entry | { readonly kind: 'begin'; readonly body: EventBodies['begin'] };

/**
 * An event with what it says changed; of a correction, what it says that the event ought to have said. What is amended
 * stays in the log, and so does what it became: both go out.
 */
export function everySaying(event: WalkEvent, change: (said: Saying) => Saying): WalkEvent {
  if (event.kind !== 'correction') return { ...event, ...change(event) } as WalkEvent;
  const { begun, entry } = event.body;
  return {
    ...event,
    body: {
      ...event.body,
      ...(begun ? { begun: change({ kind: 'begin', body: begun }).body as EventBodies['begin'] } : {}),
      ...(entry ? { entry: change(entry) as Entry } : {}),
    },
  };
}
