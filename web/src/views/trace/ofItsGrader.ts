import { personKey, type EventBodies } from '@urvek/core';

type Begun = EventBodies['begin'];

/** Where somebody else graded, what was known of how the other grades goes with their name. */
export function ofItsGrader({ graded, ...begun }: Begun, before: Begun): Begun {
  const same = personKey(begun.conditions?.gradedBy) === personKey(before.conditions?.gradedBy);
  return { ...begun, ...(graded && same ? { graded } : {}) };
}
