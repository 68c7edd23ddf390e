import { effectiveLog } from '../log/effectiveLog.ts';
import type { WalkEvent } from '../log/event.ts';

/** The steps of a guided walk, in order. */
export const SCRIPT_STEPS = [
  'state the set-up',
  'baseline',
  'go',
  'fault',
  'move and retry',
  'turn',
  'regain',
  'baseline again',
  'end',
] as const;
export type ScriptStep = (typeof SCRIPT_STEPS)[number];

export const SCRIPT_TEXT: Readonly<Record<ScriptStep, string>> = {
  'state the set-up': 'Say what is tested, where both ends stand and how it is set: keep it as a note.',
  baseline: 'At the zero point: listen, and grade what you hear.',
  go: 'Walk on, talking. Press as soon as something changes.',
  fault: 'Lost. Stand still, wait ten seconds.',
  'move and retry': 'Move a metre to either side and try three times: a fade moves, a limit stays.',
  turn: 'Turn round and come back.',
  regain: 'Walk back, talking. Press when it is clear again.',
  'baseline again': 'Back at the zero point: grade it once more.',
  end: 'End the walk, with its reason.',
};

/** Distance from the fixed end within which one is at the zero point, m. */
const AT_ZERO_M = 2;

/** What a guided walk asks for next, from what its log holds. */
export function scriptStep(log: readonly WalkEvent[]): ScriptStep {
  const events = effectiveLog(log);
  const has = (kind: WalkEvent['kind']): boolean => events.some((e) => e.kind === kind);
  const readings = events.flatMap((e) =>
    e.kind === 'mark' && e.body.reading ? [e.body.reading.travelledM] : [],
  );
  const turn = events.findLast((e) => e.kind === 'turn');
  const atZero = (e: WalkEvent): boolean =>
    e.kind === 'mark' && e.body.reading !== undefined && e.body.reading.travelledM <= AT_ZERO_M;
  const after = (kind: WalkEvent['kind'], of: WalkEvent | undefined): boolean =>
    of !== undefined && events.some((e) => e.kind === kind && e.time.walkS > of.time.walkS);
  if (turn) {
    const lost = events.findLast((e) => e.kind === 'dropoutBegin');
    const regained = !lost || after('dropoutEnd', lost) || after('reconnected', lost) || after('grade', lost);
    if (!regained) return 'regain';
    const back = events.some((e) => atZero(e) && e.time.walkS > turn.time.walkS);
    return back && after('grade', events.findLast(atZero))
      ? 'end'
      : lost && !back
        ? 'regain'
        : 'baseline again';
  }
  const lost = events.findLast((e) => e.kind === 'dropoutBegin');
  if (lost && !after('dropoutEnd', lost))
    return after('tried', lost) ? 'turn' : after('mark', lost) ? 'move and retry' : 'fault';
  if (Math.max(0, ...readings) > AT_ZERO_M) return 'go';
  if (!has('note')) return 'state the set-up';
  return has('grade') ? 'go' : 'baseline';
}
