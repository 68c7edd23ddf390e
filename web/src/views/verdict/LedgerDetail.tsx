import type { LedgerLine } from '@urvek/draw';
import { comesBackSentences, textsOf } from '@urvek/draw';
import {
  claimFlags,
  claimText,
  needText,
  type ClaimVerdict,
  type JudgementView,
  type NeedJudged,
} from '@urvek/study';
import { Link } from 'react-router';
import type { Ready } from '../../components/Frame.tsx';
import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { useUnit } from '../../state/unit.ts';
import { RangesTape } from '../ranges/RangesTape.tsx';
import { OutcomeMark } from './OutcomeMark.tsx';

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

function ClaimOpened({
  judged: { subject, product, claim, path, verdict, neverSettled },
  workspace,
  all,
}: {
  judged: ClaimVerdict;
  workspace: Ready;
  all: JudgementView;
}) {
  const [unit] = useUnit();
  const { setup } = workspace.comparison;
  const range = all.ranges.find(
    (r) => r.path.id === path?.id && r.kindId === product.kindId && r.summary.n > 0,
  );
  const subjectId = range?.subjects.find((s) => s.name === subject)?.id ?? product.id;
  const told = range ? textsOf(comesBackSentences(range, unit)) : [];
  return (
    <article className="sheet p-3" aria-label={`${subject}: ${claimText(claim)}`}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <OutcomeMark outcome={verdict.outcome} />
        <h2>
          {subject}: “{claimText(claim)}”
        </h2>
        <p className="text-[0.87rem] text-faint">
          {claim.source && `${claim.source}; `}
          {path
            ? `judged on ${path.name}`
            : claim.form === 'distance'
              ? 'no path of this condition'
              : `a claim of ${claim.form}`}
        </p>
      </div>
      <p className="mt-1 max-w-[100ch]">
        {verdict.reason} <HowMade of={claim.form === 'latency' ? 'latency' : 'claims'} what="this verdict" />{' '}
        <HowTrue of="how-often-a-verdict-is-false" what="a verdict" />
      </p>
      {neverSettled !== undefined && (
        <p className="mt-1">
          <strong>The plan could never have settled it:</strong> {neverSettled}.
        </p>
      )}
      {verdict.next !== undefined && (
        <p className="mt-1">
          <strong>What would decide it:</strong> {verdict.next}
        </p>
      )}
      {verdict.caveats.length > 0 && (
        <ul className="mt-1 text-[0.87rem] text-faint">
          {verdict.caveats.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      )}
      {range && (
        <RangesTape range={range} claims={claimFlags(setup, range.path, range.kindId)} walks={false} />
      )}
      {told.length > 0 && (
        <ul className="list-disc pl-5" data-comes-back>
          {told.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
      )}
      {range && (
        <p className="mt-1">
          <Link className="underline" to={`/c/${workspace.id}/ranges?cell=${path?.id}~${subjectId}`}>
            Its walks, ratios and curves
          </Link>
        </p>
      )}
    </article>
  );
}

const NeedOpened = ({ judged: { need, subject, path, verdict } }: { judged: NeedJudged }) => (
  <article className="sheet p-3" aria-label={`${subject}: ${need.use}`}>
    <div className="flex flex-wrap items-baseline gap-x-4">
      <OutcomeMark outcome={verdict.outcome} />
      <h2>
        {subject}: {need.use}, {needText(need)}
        {need.side === undefined ? '' : `, ${need.side}`}
      </h2>
      <p className="text-[0.87rem] text-faint">
        {path ? `judged on ${path.name}` : 'no path of its condition'}
      </p>
    </div>
    <p className="mt-1 max-w-[100ch]">{verdict.reason}</p>
    <p className="mt-1 text-[0.87rem] text-faint">
      Judged on the distance to which 9 of 10 walks hold; the margin is that distance over the need. Of
      several paths of its condition, the one that serves it worst counts.{' '}
      <HowMade of="needs" what="the verdict on a need" />{' '}
      <HowTrue of="how-often-a-verdict-is-false" what="a verdict" />
    </p>
  </article>
);
