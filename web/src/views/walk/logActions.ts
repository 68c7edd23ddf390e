import { GRADES, type EventBodies, type EventKind, type LiveState } from '@urvek/core';
import type { Asking } from './Asked.tsx';
import type { Actions } from './controlsParts.tsx';

/** Logs at the moment of an input. */
export type PressAt = <K extends EventKind>(kind: K, body: EventBodies[K]) => (inputMs: number) => void;

/** What the keys do wherever a walk is logged: live, or from a recording. */
export const logActions = ({
  state,
  now = () => state,
  press,
  ask,
}: {
  state: Pick<LiveState, 'grade' | 'standing' | 'turned'>;
  /** Where it stands at a press, which may come before the one before it is kept and shown. */
  now?: () => Pick<LiveState, 'grade'>;
  press: PressAt;
  ask: (asking: Asking) => void;
}): Actions => ({
  d: (inputMs) => press(now().grade === 1 ? 'dropoutEnd' : 'dropoutBegin', {})(inputMs),
  ...Object.fromEntries(
    GRADES.map((g) => [String(g), g === 1 ? press('dropoutBegin', {}) : press('grade', { grade: g })]),
  ),
  m: () => ask('mark'),
  w: () => ask('mark'),
  s: state.standing ? press('goOn', {}) : press('mark', { stand: true }),
  f: () => ask('fixed end'),
  t: (inputMs) => {
    if (!state.turned) press('turn', {})(inputMs);
  },
  l: () => ask('landmark'),
  x: press('tried', { tries: 3, failed: 3 }),
  v: () => ask('reading'),
  r: () => ask('reconnected'),
  n: () => ask('note'),
  e: () => ask('end'),
});
