import type { PathRanges } from '@urvek/contract';
import { INTERVAL_METHOD, walkIntervals, type Criterion, type RatioFinding } from '@urvek/core';
import { endsText, estimateText, intervalText, rangeLanes, separationGround, thinnessOf, type TapeOptions } from '@urvek/draw';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { useFindings } from '../../api/queries.ts';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Stage, WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { useUnit } from '../../state/unit.ts';

export const Ranges = () => <WithWorkspace>{(workspace) => <RangesStage {...workspace} />}</WithWorkspace>;

function RangesStage(workspace: Ready) {
  const { comparison } = workspace;
  const [criterion, setCriterion] = useState<Criterion>(comparison.setup.plan.criterion);
  const { data, error } = useFindings(workspace, criterion);
  const ranges = data?.ranges.filter((r) => r.findings.length > 0);
  return (
    <Stage title="Ranges" lead="How far each holds, in separation, with what each walk says and what all of them bound." actions={<a className="btn" href={base.intervalsCsv(workspace.id, criterion)} download><Download aria-hidden size={16} />Intervals as CSV</a>}>
      <div className="mb-3"><CriterionChoice value={criterion} onChange={setCriterion} /></div>
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what="the estimates" />}
      {ranges?.length === 0 && <Empty title="No walk yet">Estimates begin with the first finished walk.</Empty>}
      {ranges?.map((range) => <PathSection key={range.path.id} id={workspace.id} range={range} />)}
    </Stage>
  );
}

/** The picture that answers "how far is each good for" on one path. */
export function RangesTape({ range, claims, walks = true, onPoint }: { range: PathRanges; claims?: TapeOptions['claims']; walks?: boolean; onPoint?: (groupId: string) => void }) {
  const [unit] = useUnit();
  const { path, summary, findings, criterion } = range;
  const lanes = summary.fitted.filter((c) => c.walks > 0).flatMap((cell) => rangeLanes(cell, findings, criterion, unit).slice(0, walks ? undefined : 1));
  return <Tape title={`Ranges on ${path.name}, ${criterion}`} ground={separationGround(path)} measure="separation" lanes={lanes} claims={claims} onPoint={onPoint} />;
}

function PathSection({ id, range }: { id: string; range: PathRanges }) {
  const navigate = useNavigate();
  const { path, summary, criterion } = range;
  const openWalk = (group: string): void => {
    if (group.startsWith('walk-')) void navigate(`/c/${id}/trace/${group.slice(5)}`);
  };
  const thin = thinnessOf(range.summary);
  return (
    <section className="sheet mb-4 p-4" aria-label={`Ranges on ${path.name}`}>
      <h2>{path.name}: {criterion}</h2>
      {summary.n === 0 ? <p className="mt-2">No walk here has this outcome.</p> : (
        <>
          <div className="mt-1"><RangesTape range={range} onPoint={openWalk} /></div>
          <p className="text-[0.85rem] text-faint">Brackets join the last place that held and the first that failed, widened by two standard uncertainties; an open arrow is a bound. Bar: 95 % interval of the median; diamond: its estimate. A click on a walk opens its trace.</p>
          <EstimateTable range={range} />
          <Ratios range={range} />
          {thin.length > 0 && <div className="mt-3 border-l-4 border-degraded pl-3"><h3>What is thin</h3><ul className="list-disc pl-5">{thin.map((t) => <li key={t}>{t}</li>)}</ul></div>}
          <p className="mt-3 text-[0.85rem] text-faint">Lognormal model, interval-censored, one spread for all products{summary.sigma !== undefined && <> (walks differ by a factor of <span className="figure">{Math.exp(summary.sigma).toFixed(2)}</span>, one standard deviation)</>}. Intervals: {INTERVAL_METHOD}. All of it speaks for this path.</p>
        </>
      )}
    </section>
  );
}

export function EstimateTable({ range: { summary, findings, criterion } }: { range: PathRanges }) {
  const [unit] = useUnit();
  const cells = summary.fitted.filter((c) => c.walks > 0);
  return (
    <table className="table mt-3" data-estimates>
      <thead><tr><th>Product</th><th>n</th><th>Median, 95 % interval</th><th>9 of 10 walks hold to</th><th>Each walk</th></tr></thead>
      <tbody>
        {cells.map((cell) => (
          <tr key={cell.product}>
            <th scope="row" className="row-head">{cell.product}</th>
            <td className="figure">{cell.walks}</td>
            <td>{cell.median ? <><strong><Length m={cell.median.estimateM} both /></strong>{cell.interval95M.median && <span className="figure block text-[0.87rem]">{endsText(cell.interval95M.median.low, cell.interval95M.median.high, (m) => lengthText(m, unit))}</span>}</> : estimateText(cell, unit)}</td>
            <td>{cell.p10 ? <><Length m={cell.p10.estimateM} />{cell.interval95M.p10 && <span className="figure block text-[0.87rem]">{endsText(cell.interval95M.p10.low, cell.interval95M.p10.high, (m) => lengthText(m, unit))}</span>}</> : <span className="text-faint">{cell.reason}</span>}</td>
            <td className="figure text-[0.82rem]">{walkIntervals(findings.filter((f) => f.product === cell.product), criterion).map((i) => shortInterval(i, unit)).join('; ')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const lengthText = (m: number, unit: Parameters<typeof intervalText>[1]): string => intervalText({ heldM: m, failedM: undefined }, unit).replace('more than ', '');
const shortInterval = (i: { heldM: number; failedM: number | undefined }, unit: Parameters<typeof intervalText>[1]): string => intervalText(i, unit).replace('held to ', '').replace(', failed by ', '–');

function Ratios({ range: { summary } }: { range: PathRanges }) {
  return <ul className="mt-3 grid gap-1">{summary.productRatios.map((ratio) => <li key={`${ratio.numerator}/${ratio.denominator}`}><RatioLine ratio={ratio} /></li>)}</ul>;
}

export function RatioLine({ ratio }: { ratio: RatioFinding }) {
  const { numerator, denominator, estimate, interval95, reason, walks } = ratio;
  const n = `n = ${walks[0]} and ${walks[1]}`;
  const range = interval95 && endsText(interval95.low, interval95.high, (v) => v.toFixed(2));
  if (!estimate) return <>{numerator} against {denominator}: no ratio ({reason}{range === undefined ? '' : `; 95 %: ${range}`}; {n}).</>;
  const decided = (interval95?.low ?? 0) > 1 || (interval95?.high ?? Infinity) < 1;
  return <span data-ratio={estimate.ratio}><strong>{numerator}</strong> reaches <strong className="figure">{estimate.ratio.toFixed(2)}×</strong> as far as <strong>{denominator}</strong>{range !== undefined && <> (95 %: <span className="figure">{range}</span>; {n})</>}; {decided ? 'the interval excludes 1.' : 'the interval includes 1: these walks do not tell them apart.'}</span>;
}
