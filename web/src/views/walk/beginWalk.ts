import type { Comparison, WalkHeader } from '@urvek/contract';
import { kindOf, type Conditions, type Grade, type Slot, type WalkMode } from '@urvek/core';
import { slotOf, type PlannedWalk } from '@urvek/study';
import { fieldLog } from '../../field/fieldLog.ts';
import { delayInForce } from '../../field/operator.ts';
import { gradesOf } from '../../field/graders.ts';
import { eventTime, nowMs } from '../../field/time.ts';
import type { Results } from './RigCheck.tsx';
import { AT_FIXED_END, readingOfStart, type StartPlace } from './startPlace.ts';

/** What is known of a walk when it begins. */
export interface Beginning {
  readonly simulated: boolean;
  readonly mode: WalkMode;
  readonly baseline: Grade | undefined;
  readonly start: StartPlace;
  readonly conditions: Conditions;
  readonly checks: Results;
}

/** Puts a walk of a slot of the plan on the device, with its beginning; answers its id. */
export async function beginWalk(
  comparison: Comparison,
  slot: Slot<PlannedWalk>,
  { simulated, mode, baseline, start, conditions, checks }: Beginning,
): Promise<string> {
  const { product, rig, path } = slot.item;
  const kind = kindOf(product.kindId);
  const header: WalkHeader = {
    id: crypto.randomUUID(),
    comparisonId: comparison.id,
    productId: product.id,
    rigId: rig.id,
    pathId: path.id,
    startedMs: nowMs(),
    slot: slotOf(comparison.setup, slot),
  };
  await fieldLog.adopt(header, 1);
  const reading = simulated ? AT_FIXED_END : readingOfStart(start);
  await fieldLog.append(
    header.id,
    'begin',
    {
      ...(baseline === undefined ? {} : { baselineGrade: baseline }),
      direction: kind.direction,
      ...(reading ? { reading } : {}),
      ...(rig.playoutDelayS === undefined ? {} : { playoutDelayS: rig.playoutDelayS }),
      ...(!simulated && start.inwards ? { inwards: true as const } : {}),
      mode,
      conditions,
      ...(await delayInForce()),
      ...(await gradesOf(conditions.gradedBy)),
      ...(simulated ? { simulatedSeed: header.id } : {}),
      checks: kind.checks.map((c) => ({ id: c.id, result: checks[c.id] ?? 'not done' })),
    },
    eventTime(0, 1),
  );
  return header.id;
}
