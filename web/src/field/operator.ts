import type { OperatorDelay } from '@urvek/core';
import { fieldLog } from './fieldLog.ts';

const FACT = 'operator-delay';

/** What the trainer learned of whoever uses this device, and when. */
export interface LearnedDelay extends OperatorDelay {
  readonly answers: number;
  readonly atMs: number;
}

export async function learnedDelay(): Promise<LearnedDelay | undefined> {
  const fact = await fieldLog.facts.get(FACT);
  return fact && (JSON.parse(fact.value) as LearnedDelay);
}

export const keepDelay = async (delay: LearnedDelay): Promise<void> =>
  void (await fieldLog.facts.put({ name: FACT, value: JSON.stringify(delay) }));
export const forgetDelay = (): Promise<void> => fieldLog.facts.delete(FACT);

/** The delay that a walk begun now carries; nothing where none was learned. */
export async function delayInForce(): Promise<{ delay?: OperatorDelay }> {
  const learned = await learnedDelay();
  const { reactionS, spreadS, answers } = learned ?? {};
  return reactionS === undefined || spreadS === undefined || answers === undefined
    ? {}
    : { delay: { reactionS, spreadS, answers } };
}
