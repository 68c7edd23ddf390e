import { claimFlags, claimText, rangeTitle, unitsWalked, type ClaimVerdict, type Finding, type PathRanges, type Setup } from '@urvek/contract';
import { balancedAfterRounds, CRITERION_MEANING, kindOf, pathLengthM } from '@urvek/core';
import { thinnessOf, walkLanes, travelledGround } from '@urvek/draw';
import { format } from 'date-fns';
import { Download, Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { base } from '../../api/client.ts';
import { useFindings } from '../../api/queries.ts';
import { WithWorkspace, type Ready } from '../../components/Frame.tsx';
import { Length } from '../../components/Length.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { EstimateTable } from '../ranges/Estimates.tsx';
import { RangesTape } from '../ranges/Ranges.tsx';
import { RatioLine } from '../ranges/Ratios.tsx';
import { OutcomeMark } from '../verdict/Verdict.tsx';

export const Report = () => <WithWorkspace>{(workspace) => <ReportPage {...workspace} />}</WithWorkspace>;

/** One page to stand behind: every figure comes from the log. */
function ReportPage(whole: Ready) {
  const { comparison } = whole;
  const { data, error } = useFindings(whole);
  const findings = whole.findings.filter((f) => f.trace.endReason);
  const workspace: Ready = { ...whole, findings };
  const { setup } = comparison;
  if (error) return <Trouble error={error} />;
  if (!data) return <Loading what="the report" />;
  const ranges = data.ranges.filter((r) => r.summary.n > 0);
  const simulated = findings.some((f) => f.trace.begin.body.simulatedSeed !== undefined);
  return (
    <main className="mx-auto w-full max-w-[980px] px-4 py-5">
      <div className="no-print mb-3 flex justify-end gap-2">
        <a className="btn" href={base.intervalsCsv(workspace.id, setup.plan.criterion)} download><Download aria-hidden size={16} />Intervals as CSV</a>
        <a className="btn" href={base.wholeFile(workspace.id)} download><Download aria-hidden size={16} />Whole comparison as a file</a>
        <button className="btn btn-main" onClick={() => window.print()}><Printer aria-hidden size={16} />Print or save as PDF</button>
      </div>
      <article className="sheet grid gap-5 p-8 print:p-0">
        <header>
          {simulated && <p className="mb-2 border-2 border-ink px-2 py-1 font-bold">Made up: these walks were played by simulated gear. They show the method, not a product.</p>}
          <h1 className="text-2xl">{comparison.title}</h1>
          <p className="mt-1 text-lg">{comparison.question}</p>
          <p className="mt-1 text-faint">{dateRange(findings.map((f) => f.header.startedMs))}</p>
        </header>
        {ranges.length === 0 && <Empty title="Nothing to publish yet">The report is made from finished walks.</Empty>}
        {ranges.map((range) => <Result key={range.id} range={range} setup={setup} />)}
        {data.verdicts.length > 0 && <Claims verdicts={data.verdicts} />}
        <Tested workspace={workspace} />
        <Where workspace={workspace} />
        <Caveats ranges={ranges} workspace={workspace} unfinished={whole.findings.length - findings.length} />
      </article>
    </main>
  );
}

function dateRange(startedMs: readonly number[]): string {
  if (startedMs.length === 0) return 'No walk yet';
  const [first, last] = [Math.min(...startedMs), Math.max(...startedMs)].map((ms) => format(ms, 'd MMMM yyyy'));
  return `${startedMs.length} ${startedMs.length === 1 ? 'walk' : 'walks'}, ${first === last ? first : `${first} to ${last}`}`;
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => <section aria-label={title}><h2 className="border-b-2 border-ink pb-0.5">{title}</h2><div className="mt-2">{children}</div></section>;

function Result({ range, setup }: { range: PathRanges; setup: Setup }) {
  const reach = Math.max(...range.summary.fitted.map((c) => c.median?.estimateM ?? c.bounds?.allHeldToM ?? 0));
  return (
    <Part title={`Result on ${rangeTitle(setup, range)}`}>
      <ul className="grid gap-1 text-[1.05rem]">{range.summary.productRatios.map((r) => <li key={`${r.numerator}/${r.denominator}`}><RatioLine ratio={r} /></li>)}</ul>
      <figure className="mt-2">
        <RangesTape range={range} claims={claimFlags(setup, range.path, range.kindId)} />
        <figcaption className="text-[0.85rem] text-faint">{range.criterion}: {CRITERION_MEANING[range.criterion]}. Bracket: one walk, between the last place that held and the first that failed. Open arrow: a bound. Bar and diamond: the median with its 95 % interval{reach > 0 ? '.' : ' (none here).'}</figcaption>
      </figure>
      <EstimateTable range={range} />
    </Part>
  );
}

function Claims({ verdicts }: { verdicts: readonly ClaimVerdict[] }) {
  return (
    <Part title="Claims">
      <table className="table">
        <thead><tr><th>Claim</th><th>Verdict</th><th>Why</th></tr></thead>
        <tbody>{verdicts.map((v) => <tr key={`${v.claim.id}-${v.path?.id ?? ''}`}><td>{v.product.name}: {claimText(v.claim)}</td><td><OutcomeMark outcome={v.verdict.outcome} /></td><td>{v.verdict.reason}{v.verdict.next !== undefined && ` ${v.verdict.next}`}</td></tr>)}</tbody>
      </table>
    </Part>
  );
}

function Tested({ workspace: { comparison: { setup }, findings } }: { workspace: Ready }) {
  return (
    <Part title="What was tested, and how it was set up">
      <table className="table">
        <thead><tr><th>Product</th><th>Kind</th><th>Band, power</th><th>Units walked</th><th>Rig</th><th>Heights, fixed and mobile end</th><th>Channel</th></tr></thead>
        <tbody>{setup.products.map((p) => <tr key={p.id}><th scope="row" className="row-head">{p.name}</th><td>{kindOf(p.kindId).name}</td><td className="figure">{p.bandMHz} MHz, {p.powerMw} mW</td><td className="figure">{unitsWalked(p, findings)}</td><td>{p.rigs[0]?.name}</td><td><Length m={p.rigs[0]?.heightFixedM ?? 0} />, <Length m={p.rigs[0]?.heightMobileM ?? 0} /></td><td>{p.rigs[0]?.channel}</td></tr>)}</tbody>
      </table>
    </Part>
  );
}

function Where({ workspace: { comparison: { setup }, findings } }: { workspace: Ready }) {
  return (
    <Part title="Where">
      {setup.paths.map((path) => {
        const example = findings.find((f) => f.path.id === path.id);
        return (
          <figure key={path.id}>
            <p><strong>{path.name}</strong>, {path.condition}: <Length m={pathLengthM(path)} both /> in {path.legs.length} {path.legs.length === 1 ? 'leg' : 'legs'}{path.obstructions.length > 0 && `; ${path.obstructions.map((o) => `${o.label} at ${o.atM} m`).join(', ')}`}; {path.checkpoints.length} checkpoints.</p>
            <Tape title={`The path ${path.name} with one walk`} ground={travelledGround(path)} measure="travelled" lanes={example ? walkLanes(example.trace, 'walk 1', 'example') : []} />
            {example && <figcaption className="text-[0.85rem] text-faint">Below the tape, as an example, {example.product}, walk {example.label}: clear is solid, degraded is hatched, lost is a gap.</figcaption>}
          </figure>
        );
      })}
    </Part>
  );
}

function failedChecks(setup: Setup, { header, trace }: Finding): string[] {
  const kindId = setup.products.find((p) => p.id === header.productId)?.kindId;
  return (trace.begin.body.checks ?? []).flatMap((c) => (c.result === 'failed' ? [(kindId !== undefined && kindOf(kindId).checks.find((k) => k.id === c.id)?.text) || c.id] : []));
}

function Caveats({ ranges, workspace: { comparison: { setup }, findings }, unfinished }: { ranges: readonly PathRanges[]; workspace: Ready; unfinished: number }) {
  const delay = 'What was heard is logged late: positions are corrected by a reaction time of 0.6 ± 0.2 s and the rig’s playout delay.';
  const balanced = setup.plan.walksEach % balancedAfterRounds(Math.max(1, setup.products.length)) === 0;
  const items = [
    ...new Set(setup.products.map((p) => `${kindOf(p.kindId).name}, test signal: ${kindOf(p.kindId).testSignal}.`)),
    balanced ? 'The products were walked in a balanced order: each led equally often.' : 'The order of the products was not balanced.',
    ...(unfinished > 0 ? [`${unfinished} ${unfinished === 1 ? 'walk that was' : 'walks that were'} not finished ${unfinished === 1 ? 'is' : 'are'} left out.`] : []),
    ...ranges.flatMap((r) => thinnessOf(setup, r).map((t) => `${rangeTitle(setup, r)}: ${t}`)),
    ...setup.products.filter((p) => unitsWalked(p, findings) === 1).map((p) => `One unit of ${p.name} was tested: the result speaks for that unit.`),
    'Range is stated in separation, the straight line between the two ends, and speaks for this path.',
    delay,
    ...findings.flatMap((f) => failedChecks(setup, f).map((text) => `${f.product}, walk ${f.label}: failed in the rig check: ${text}.`)),
    ...new Set(findings.map((f) => `Direction tested: ${f.trace.direction} only.`)),
  ];
  return <Part title="Conditions and caveats"><ul className="list-disc pl-5">{items.map((c) => <li key={c}>{c}</li>)}</ul></Part>;
}
