import { comesBackSentences, textsOf } from '@urvek/draw';
import { claimFlags, claimText, type ClaimVerdict, type JudgementView } from '@urvek/study';
import { Link } from 'react-router';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { useUnit } from '../../state/unit.ts';
import { RangesTape } from '../ranges/RangesTape.tsx';
import { OutcomeMark } from './OutcomeMark.tsx';
import * as phrases from './phrases.ts';

/** A claim with its evidence: the tape, the walks, what would decide it. */
export function ClaimOpened({
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
            ? phrases.judgedOn(path.name)
            : claim.form === 'distance'
              ? phrases.noPathOfThisCondition
              : phrases.aClaimOf(claim.form)}
        </p>
      </div>
      <p className="mt-1 max-w-[100ch]">
        {verdict.reason}{' '}
        <HowMade of={claim.form === 'latency' ? 'latency' : 'claims'} what={phrases.thisVerdict} />{' '}
        <HowTrue of="how-often-a-verdict-is-false" what={phrases.aVerdict} />
      </p>
      {neverSettled !== undefined && (
        <p className="mt-1">
          <strong>{phrases.thePlanCouldNeverHaveSettled}</strong> {neverSettled}.
        </p>
      )}
      {verdict.next !== undefined && (
        <p className="mt-1">
          <strong>{phrases.whatWouldDecideIt}</strong> {verdict.next}
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
            {phrases.itsWalksRatiosAndCurves}
          </Link>
        </p>
      )}
    </article>
  );
}
