import { HowMade, HowTrue } from '../../components/HowMade.tsx';
import { comesBackSentences, textsOf } from '@urvek/draw';
import { claimFlags, claimText, rangeTitle, type ClaimVerdict, type JudgementView } from '@urvek/study';
import type { Ready } from '../../components/Frame.tsx';
import { Empty } from '../../components/States.tsx';
import { useUnit } from '../../state/unit.ts';
import { RangesTape } from '../ranges/RangesTape.tsx';
import { OutcomeMark } from './OutcomeMark.tsx';

/** Every claim on every path of its condition, with the tape that it is judged on. */
export function Claims({
  workspace: {
    comparison: { setup },
  },
  judged,
}: {
  workspace: Ready;
  judged: JudgementView;
}) {
  const [unit] = useUnit();
  const told = judged.ranges.flatMap((r) => textsOf(comesBackSentences(r, unit)));
  const onTape = judged.ranges.filter(
    (r) => r.summary.n > 0 && claimFlags(setup, r.path, r.kindId).length > 0,
  );
  return (
    <>
      {judged.verdicts.length === 0 && (
        <Empty title="No claim is entered">Enter what the makers say in Kit.</Empty>
      )}
      {onTape.map((range) => (
        <figure key={range.id} className="sheet mb-3 px-4 py-2">
          <figcaption className="font-bold">
            {rangeTitle(setup, range)}: {range.criterion}, against what is claimed
          </figcaption>
          <RangesTape range={range} claims={claimFlags(setup, range.path, range.kindId)} walks={false} />
        </figure>
      ))}
      <div className="grid gap-3">
        {judged.verdicts.map((v) => (
          <ClaimCard key={`${v.claim.id}-${v.path?.id ?? ''}-${v.subject}`} judged={v} />
        ))}
      </div>
      {told.length > 0 && (
        <section className="sheet mt-3 px-4 py-2" aria-label="Farther works again" data-comes-back>
          <h2>Farther on it works again</h2>
          <ul className="list-disc pl-5">
            {told.map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function ClaimCard({ judged }: { judged: ClaimVerdict }) {
  const { subject, claim, path, verdict, neverSettled } = judged;
  return (
    <article
      className="sheet grid gap-x-6 gap-y-2 p-4 md:grid-cols-[190px_1fr]"
      data-verdict={verdict.outcome}
    >
      <div>
        <OutcomeMark outcome={verdict.outcome} />
      </div>
      <div>
        <h2>
          {subject}: “{claimText(claim)}”
        </h2>
        <p className="text-[0.85rem] text-faint">
          {claim.source && `${claim.source}; `}
          {path
            ? `judged on ${path.name}`
            : claim.form === 'distance'
              ? 'no path of this condition'
              : `a claim of ${claim.form}`}
        </p>
        <p className="mt-1">
          {verdict.reason}{' '}
          <HowMade of={claim.form === 'latency' ? 'latency' : 'claims'} what="this verdict" />{' '}
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
        <ul className="mt-1 text-[0.85rem] text-faint">
          {verdict.caveats.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      </div>
    </article>
  );
}
