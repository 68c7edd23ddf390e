import type { LedgerLine } from '@urvek/draw';
import type { JudgementView } from '@urvek/study';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { ClaimOpened } from './ClaimOpened.tsx';
import { NeedOpened } from './NeedOpened.tsx';

/** The line opened: the tape it is judged on, the whole reason, and what would decide it. */
export function LedgerDetail({
  line,
  workspace,
  judged,
}: {
  line: LedgerLine;
  workspace: Ready;
  judged: JudgementView;
}) {
  const { of } = line;
  return 'claim' in of ? (
    <ClaimOpened judged={of.claim} {...{ workspace, all: judged }} />
  ) : (
    <NeedOpened judged={of.need} />
  );
}
