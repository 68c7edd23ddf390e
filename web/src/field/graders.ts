import { personKey, type ClipGrades, type Graded } from '@urvek/core';
import { fieldLog } from './fieldLog.ts';

const FACT = 'graders';

/** How somebody graded clips on this device. */
export interface Grader {
  readonly person: string;
  /** What was graded. */
  readonly clips: string;
  readonly atMs: number;
  readonly graded: readonly Graded[];
}

export async function graders(): Promise<readonly Grader[]> {
  const fact = await fieldLog.facts.get(FACT);
  if (!fact) return [];
  // What was kept before there was more than speech does not say so.
  const kept = JSON.parse(fact.value) as readonly (Omit<Grader, 'clips'> & Partial<Grader>)[];
  return kept.map((g) => ({ ...g, clips: g.clips ?? 'speech' }));
}

/** The newest of each person and kind of clip is kept. */
export async function keepGrader(grader: Grader): Promise<void> {
  await fieldLog.transaction('rw', fieldLog.facts, async () => {
    const others = (await graders()).filter((g) => g.person !== grader.person || g.clips !== grader.clips);
    await fieldLog.facts.put({ name: FACT, value: JSON.stringify([...others, grader]) });
  });
}

/** What a walk carries that somebody grades now; nothing where they graded no clips on this device. */
export async function gradesOf(person: string | undefined): Promise<{ graded?: readonly ClipGrades[] }> {
  const own = (await graders()).filter((g) => personKey(g.person) === personKey(person));
  return own.length === 0 ? {} : { graded: own.map(({ clips, graded }) => ({ clips, graded })) };
}
