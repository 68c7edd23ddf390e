import { claimFlags, claimText, rangeTitle, type ClaimVerdict } from '@urvek/contract';
import type { VerdictOutcome } from '@urvek/core';
import { useFindings } from '../../api/queries.ts';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { RangesTape } from '../ranges/Ranges.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';

export const Verdict = () => <WithWorkspace>{(workspace) => <VerdictStage {...workspace} />}</WithWorkspace>;

function VerdictStage(workspace: Ready) {
  const { data, error } = useFindings(workspace);
  return (
    <Stage title="Verdict" lead="Every claim against the walks of its own condition. A claim that the walks cannot settle is undecided, not refuted.">
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what="the verdicts" />}
      {data?.verdicts.length === 0 && <Empty title="No claim is entered">Enter what the makers say in Kit.</Empty>}
      {data?.ranges.filter((r) => r.summary.n > 0).map((range) => (
        <figure key={range.id} className="sheet mb-3 px-4 py-2">
          <figcaption className="font-bold">{rangeTitle(workspace.comparison.setup, range)}: {range.criterion}, against what is claimed</figcaption>
          <RangesTape range={range} claims={claimFlags(workspace.comparison.setup, range.path, range.kindId)} walks={false} />
        </figure>
      ))}
      <div className="grid gap-3">{data?.verdicts.map((v) => <ClaimCard key={`${v.claim.id}-${v.path?.id ?? ''}`} judged={v} />)}</div>
    </Stage>
  );
}

const MARK: Readonly<Record<VerdictOutcome, { shape: string; className: string }>> = {
  supported: { shape: 'M3 3H21V21H3Z', className: 'fill-clear stroke-clear' },
  refuted: { shape: 'M4 4L20 20M20 4L4 20', className: 'fill-none stroke-lost' },
  undecided: { shape: 'M3 12H21M8 7L3 12L8 17M16 7L21 12L16 17', className: 'fill-none stroke-degraded' },
  'not tested': { shape: 'M3 3H21V21H3Z', className: 'fill-none stroke-faint' },
};

/** The outcome by shape as well as colour. */
export const OutcomeMark = ({ outcome }: { outcome: VerdictOutcome }) => (
  <span className="inline-flex items-center gap-2 font-head font-bold whitespace-nowrap">
    <svg aria-hidden viewBox="0 0 24 24" width="20" height="20" className={`${MARK[outcome].className} stroke-[3]`}><path d={MARK[outcome].shape} /></svg>{outcome}
  </span>
);

function ClaimCard({ judged }: { judged: ClaimVerdict }) {
  const { product, claim, path, verdict } = judged;
  return (
    <article className="sheet grid gap-x-6 gap-y-2 p-4 md:grid-cols-[190px_1fr]" data-verdict={verdict.outcome}>
      <div><OutcomeMark outcome={verdict.outcome} /></div>
      <div>
        <h2>{product.name}: “{claimText(claim)}”</h2>
        <p className="text-[0.85rem] text-faint">{claim.source && `${claim.source}; `}{path ? `judged on ${path.name}` : claim.form === 'distance' ? 'no path of this condition' : `a claim of ${claim.form}`}</p>
        <p className="mt-1">{verdict.reason}</p>
        {verdict.next !== undefined && <p className="mt-1"><strong>What would decide it:</strong> {verdict.next}</p>}
        <ul className="mt-1 text-[0.85rem] text-faint">{verdict.caveats.map((c) => <li key={c}>{c}</li>)}</ul>
      </div>
    </article>
  );
}
