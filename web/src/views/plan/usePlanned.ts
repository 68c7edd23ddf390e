import type { Setup } from '@urvek/contract';
import type { Asks } from '@urvek/draw';
import { useAnswer, useStudy } from '../../api/study.ts';
import type { Ready } from '../../components/WithWorkspace.tsx';
import * as phrases from './phrases.ts';

/** What is found of a plan, as it was saved or as it is being edited and has settled; undefined until it is there. */
export function usePlanned<K extends 'planBoard' | 'nextPoints' | 'planAudit'>(
  workspace: Ready,
  ask: K,
  setup: Setup,
): Asks[K]['answer'] | undefined {
  const asked = JSON.stringify(setup);
  const edited = asked !== JSON.stringify(workspace.comparison.setup);
  const { data: asSaved } = useAnswer(workspace, { ask }, !edited);
  const { data: asEdited } = useStudy(
    workspace,
    [phrases.edited(ask), asked],
    (study, of) => study[ask](of, JSON.parse(asked) as Setup) as Promise<Asks[K]['answer']>,
    edited,
  );
  // What was found before stands until the next is there.
  return edited ? (asEdited ?? asSaved) : asSaved;
}
