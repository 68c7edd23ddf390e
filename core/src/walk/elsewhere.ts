import type { Grade } from '../grade/grade.ts';
import { effectiveLog } from '../log/effectiveLog.ts';
import type { WalkEvent } from '../log/event.ts';

/** What a device notices: losses, grades, and what of it was withdrawn. */
export const NOTICED_KINDS = ['grade', 'dropoutBegin', 'dropoutEnd', 'correction'] as const;

/** How it stands at another device of a walk, by the last that it logged. */
export interface HeardElsewhere {
  readonly deviceId: string;
  readonly lost: boolean;
  /** What was graded, while nothing is lost. */
  readonly grade: Grade | undefined;
  /** By the clock of that device. */
  readonly sinceMs: number;
}

/** Of each device the last word that stands; devices that noticed nothing yet are not among them. */
export function heardElsewhere(events: readonly WalkEvent[]): HeardElsewhere[] {
  const last = new Map<string, HeardElsewhere>();
  for (const event of effectiveLog(events)) {
    const { deviceId, time } = event;
    const said = { deviceId, sinceMs: time.wallMs };
    if (event.kind === 'dropoutBegin') last.set(deviceId, { ...said, lost: true, grade: undefined });
    else if (event.kind === 'dropoutEnd')
      last.set(deviceId, { ...said, lost: false, grade: last.get(deviceId)?.grade });
    else if (event.kind === 'grade')
      last.set(deviceId, { ...said, lost: event.body.grade === 1, grade: event.body.grade });
  }
  return [...last.values()].sort((a, b) => (a.deviceId < b.deviceId ? -1 : 1));
}
