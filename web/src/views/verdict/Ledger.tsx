import { ledgerLines, ledgerScales, reachAxis, type LedgerLine } from '@urvek/draw';
import type { JudgementView } from '@urvek/study';
import { useMemo } from 'react';
import { Later } from '../../components/Later.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Picture } from '../../components/Picture.tsx';
import { Empty } from '../../components/States.tsx';
import { useListKeys } from '../../components/useListKeys.ts';
import { useLens, useSelected, type Lens } from '../../state/lens.ts';
import { useUnit } from '../../state/unit.ts';
import { LedgerDetail } from './LedgerDetail.tsx';
import { LedgerRow } from './LedgerRow.tsx';
import * as phrases from './phrases.ts';

const STRIP_PX = 400;

/** A line for each claim and need: verdict, the claim on what was found, its figures, one next step. */
export function Ledger({ workspace, judged }: { workspace: Ready; judged: JudgementView }) {
  const [unit] = useUnit();
  const [lens] = useLens();
  const [wanted, select] = useSelected('line');
  const lines = useMemo(() => ledgerLines(judged, unit).filter((l) => inLens(l, lens)), [judged, unit, lens]);
  const scales = useMemo(() => ledgerScales(lines, STRIP_PX, unit), [lines, unit]);
  const [list, onKey] = useListKeys<HTMLTableSectionElement>(
    lines.map((l) => l.id),
    select,
  );
  if (lines.length === 0)
    return (
      <Empty title={phrases.noClaimAndNoNeed}>
        {phrases.enterWhatTheMakersSayIn}
        {anyLens(lens) && phrases.orLookAtAllOfThem}
      </Empty>
    );
  const selected =
    lines.find((l) => l.id === wanted) ?? lines.find((l) => l.outcome === 'undecided') ?? lines[0];
  return (
    <>
      <div className="sheet relative max-h-[max(12rem,calc(100vh-15rem))] overflow-auto" data-ledger>
        <table className="w-full table-fixed border-collapse" aria-label={phrases.claimsAndNeeds}>
          <thead className="sticky top-0 z-10 bg-sheet text-[0.87rem] shadow-[0_2px_0_var(--color-ink)]">
            <tr>
              <th scope="col" className="w-32 px-2">
                {phrases.verdict}
              </th>
              <th scope="col" className="w-56 px-2">
                {phrases.whatIsSaidOrNeeded}
              </th>
              <th scope="col" style={{ width: STRIP_PX + 16 }} className="px-2 font-normal">
                <Picture scene={reachAxis(scales.distance)} className="block" aria-hidden />
                <span className="sr-only">{phrases.claimedAndFound}</span>
              </th>
              <th scope="col" className="w-24 px-2 text-right">
                {phrases.found}
              </th>
              <th scope="col" className="w-36 px-2 text-right">
                95 %
              </th>
              <th scope="col" className="w-16 px-2 text-right">
                n
              </th>
              <th scope="col" className="px-2">
                {phrases.nextStep}
              </th>
            </tr>
          </thead>
          <tbody ref={list}>
            {lines.map((l, i) => (
              <LedgerRow
                key={l.id}
                {...{ line: l, scales, unit }}
                on={l === selected}
                onSelect={() => select(l.id)}
                onKey={(e) => onKey(e, i)}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 mb-3 text-[0.87rem] text-faint">{phrases.dashedWhatIsSaidDiamondBar}</p>
      <Later>
        {() =>
          selected && <LedgerDetail key={selected.id} line={selected} workspace={workspace} judged={judged} />
        }
      </Later>
    </>
  );
}

const anyLens = ({ kindId, pathId, productId }: Lens): boolean =>
  [kindId, pathId, productId].some((v) => v !== undefined);

const inLens = ({ of }: LedgerLine, { kindId, pathId, productId }: Lens): boolean => {
  const { product, path } = 'claim' in of ? of.claim : of.need;
  return (
    (kindId ?? product.kindId) === product.kindId &&
    (productId ?? product.id) === product.id &&
    (pathId === undefined || path === undefined || path.id === pathId)
  );
};
