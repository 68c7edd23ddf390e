import { PLAIN_REPORT, type Setup } from '@urvek/contract';
import { CRITERION_MEANING, formatLength, heldToText, type LengthUnit } from '@urvek/core';
import {
  claimFlags,
  claimText,
  counted,
  figuresOf,
  needText,
  rangeTitle,
  checkpointMatrix,
  speaking,
  type ClaimVerdict,
  type Finding,
  type JudgementView,
  type OneWayLink,
  type RangeView,
} from '@urvek/study';
import { separationGround } from '../tape/ground.ts';
import { interferenceText } from './interference.ts';
import { endsText, estimateText, intervalText, noTenthText, rangeLanes } from '../tape/rangeLanes.ts';
import { tapeScene } from '../tape/tape.ts';
import type { MadeBlock, MadeSection, ReportDocument, ReportForm, Row } from './document.ts';
import { figureSentences, settingText, standTables } from './figures.ts';
import { cellRests, say, walkRests, type Rest, type Sentence } from './sentence.ts';
import {
  caveatItems,
  conditionItems,
  PUBLISHED_PX,
  repeatItems,
  testedTable,
  untestedItems,
  whereBlocks,
} from './setUp.ts';
import {
  claimRests,
  claimSentence,
  comesBackSentences,
  pairSentences,
  rangeSummary,
  wallSentences,
  ratioSentence,
  withoutMetres,
} from './summary.ts';
import { wordSections } from './worded.ts';
import * as phrases from './phrases.ts';

export interface ReportInput {
  readonly title: string;
  readonly question: string;
  readonly setup: Setup;
  /** Of all walks; unfinished ones are left out here, and counted. */
  readonly findings: readonly Finding[];
  readonly judged: JudgementView;
  readonly unit: LengthUnit;
  /** Formats a day: time zones are the reader's. */
  readonly day: (ms: number) => string;
}

/** The report of a comparison: every figure in it is made from the log. */
export function reportOf(input: ReportInput, form: ReportForm): ReportDocument {
  const findings = counted(input.findings).filter((f) => f.trace.endReason);
  const ranges = input.judged.ranges.filter(
    (r) => r.summary.n > 0 || withoutMetres(r).length > 0 || r.pairs.length > 0,
  );
  const own = {
    ...input,
    findings,
    ranges,
    unfinished: counted(input.findings).filter((f) => !f.trace.endReason),
    leftOut: input.findings.filter((f) => f.leftOut !== undefined),
  };
  const sections =
    form === 'short'
      ? [inShort(own), paid(own)]
      : [
          inShort(own),
          ...ranges.map((r) => result(own, r)),
          claims(own),
          needs(own),
          latency(own),
          stations(own),
          costs(own),
          interference(own),
          tested(own),
          where(own),
          fairness(own),
          untested(own),
          repeat(own),
          paid(own),
        ];
  return {
    title: input.title,
    question: input.question,
    when: dates(findings, input.day),
    simulated: findings.some((f) => f.trace.begin.body.simulatedSeed !== undefined),
    sections: wordSections(
      sections.filter((s) => s.blocks.length > 0),
      (input.setup.report ?? PLAIN_REPORT).wording,
    ),
  };
}

interface Own extends ReportInput {
  readonly ranges: readonly RangeView[];
  readonly unfinished: readonly Finding[];
  readonly leftOut: readonly Finding[];
}

function dates(findings: readonly Finding[], day: (ms: number) => string): string {
  if (findings.length === 0) return phrases.noWalkYet;
  const n = phrases.countedWalks(findings.length);
  const started = findings.filter((f) => !f.header.undated).map((f) => f.header.startedMs);
  if (started.length === 0) return phrases.theDayIsNotStated(n);
  const [first, last] = [day(Math.min(...started)), day(Math.max(...started))];
  const undated = findings.length - started.length;
  return (
    `${n}, ${first === last ? first : phrases.to3(first, last)}` +
    `${undated > 0 ? phrases.ofTheDayIsNotStated(undated) : ''}`
  );
}

const paragraph = (id: string, said: Sentence): MadeBlock => ({ kind: 'paragraph', id, said });

const inShort = (own: Own): MadeSection => ({
  id: 'in-short',
  title: phrases.inShort,
  blocks: [
    ...own.ranges.map((r) => paragraph(`short/${r.id}`, rangeSummary(own.setup, r, own.unit))),
    ...own.judged.verdicts
      .filter((v) => v.verdict.outcome === 'supported' || v.verdict.outcome === 'refuted')
      .map((v) => paragraph(claimKey(v), claimSentence(v, own.ranges))),
  ],
});

/** The same as long as it is the same claim on the same path, of the same rig where rigs differ. */
const claimKey = ({ claim, path, subject, product }: ClaimVerdict): string =>
  ['claim', claim.id, path?.id ?? '', ...(subject === product.name ? [] : [subject])].join('/');

/** More walks than this are not drawn one by one: the table has them. */
const DRAWN_WALKS = 60;

function result(own: Own, range: RangeView): MadeSection {
  const { setup, unit } = own;
  const { summary, path, criterion, walks } = range;
  const lanes = summary.fitted
    .filter((c) => c.walks > 0)
    .flatMap((c) => rangeLanes(c, walks.length > DRAWN_WALKS ? [] : walks, unit));
  const scene = tapeScene({
    title: phrases.rangesOn(path.name, criterion),
    ground: separationGround(path),
    measure: 'separation',
    unit,
    lanes,
    claims: claimFlags(setup, path, range.kindId),
    width: PUBLISHED_PX,
  });
  return {
    id: `result-${range.id}`,
    title: phrases.resultOn(rangeTitle(setup, range)),
    blocks: [
      {
        kind: 'list',
        items: [
          ...withoutMetres(range),
          ...summary.productRatios.map((ratio) => ratioSentence(ratio, range)),
          ...pairSentences(range),
          ...wallSentences(range, unit),
          ...comesBackSentences(range, unit),
        ],
      },
      {
        kind: 'figure',
        name: phrases.ranges(rangeTitle(setup, range)),
        scene,
        caption: phrases.bracketOneWalkBetweenTheLast(criterion, CRITERION_MEANING[criterion]),
      },
      estimates(range, unit),
      ...directions(own, range),
      ...figures(own, range),
    ],
  };
}

/** What instruments read: in words, and stand by stand. */
function figures({ setup, findings, unit }: Own, range: RangeView): MadeBlock[] {
  const ids = new Set(range.walks.map((w) => w.walkId));
  const own = speaking(findings).filter((f) => ids.has(f.walkId));
  const found = figuresOf(setup, { ...range, findings: own });
  const items = figureSentences(range, found, unit);
  return [
    ...(items.length > 0 ? [{ kind: 'list' as const, items }] : []),
    ...standTables(range, found.sets, unit),
  ];
}

/** Who was heard where, each way, at stands; and where it worked one way only. */
function directions({ findings, unit }: Own, { path, walks }: RangeView): MadeBlock[] {
  const ids = new Set(walks.map((w) => w.walkId));
  const matrix = checkpointMatrix({ path, findings: speaking(findings).filter((f) => ids.has(f.walkId)) });
  const rows = [...new Set(matrix.cells.map((c) => `${c.product}\n${c.direction}`))].map((row) => {
    const [product = '', direction = ''] = row.split('\n');
    const own = matrix.cells.filter((c) => c.product === product && c.direction === direction);
    return {
      cells: [
        product,
        direction,
        ...matrix.checkpoints.map(
          ({ name }) => own.find((c) => c.checkpoint === name)?.grades.join(', ') ?? '',
        ),
      ],
      rests: own.flatMap((c) => c.walkIds.map((id): Rest => `walk:${id}`)),
    };
  });
  if (new Set(rows.map((r) => r.cells[1])).size < 2) return [];
  return [
    {
      kind: 'table',
      caption: phrases.gradesAtStandsEachWayOn(path.name),
      head: [
        phrases.product,
        phrases.direction,
        ...matrix.checkpoints.map((c) =>
          c.atM === undefined ? c.name : `${c.name}, ${formatLength(c.atM, unit)}`,
        ),
      ],
      rows,
    },
    { kind: 'list', items: oneWaySentences(matrix.oneWay) },
  ];
}

/** Both explanations, and what tells them apart: once a product and end, with all its places. */
export function oneWaySentences(links: readonly OneWayLink[]): Sentence[] {
  const groups = new Map<string, OneWayLink[]>();
  for (const link of links) {
    const key = `${link.deaf}/${link.product}`;
    groups.set(key, [...(groups.get(key) ?? []), link]);
  }
  return [...groups.values()].map((group) => {
    const { product, deaf } = group[0] as OneWayLink;
    return say(
      phrases.atOneWayOnlyTheDoes(product, group.map((l) => l.checkpoint).join(', '), deaf),
      group.flatMap((l) => l.walkIds.map((id): Rest => `walk:${id}`)),
    );
  });
}

function estimates(range: RangeView, unit: LengthUnit): MadeBlock {
  const show = (m: number): string => formatLength(m, unit);
  return {
    kind: 'table',
    caption: `${range.path.name}, ${range.criterion}`,
    head: [
      phrases.product,
      'n',
      phrases.median95PercentInterval,
      phrases.n9Of10WalksHoldTo,
      phrases.eachWalk,
    ],
    rows: range.summary.fitted
      .filter((c) => c.walks > 0)
      .map((cell) => {
        const own = range.walks.flatMap((w) =>
          w.product === cell.product && w.interval ? [w.interval] : [],
        );
        const p10 =
          cell.withScale95M.p10 && endsText(cell.withScale95M.p10.low, cell.withScale95M.p10.high, show);
        return {
          cells: [
            cell.product,
            String(cell.walks),
            estimateText(cell, unit),
            cell.own?.p10?.estimateM !== undefined
              ? `${show(cell.own.p10.estimateM)}${p10 === undefined ? '' : ` (95 %: ${p10})`}; ` +
                `${heldToText(own, cell.own.p10.estimateM)}`
              : noTenthText(cell),
            own.map((interval) => intervalText(interval, unit)).join('; '),
          ],
          rests: cellRests(range, [cell.product]),
        };
      }),
  };
}

const table = (caption: string, head: string[], rows: Row[]): MadeBlock[] =>
  rows.length > 0 ? [{ kind: 'table', caption, head, rows }] : [];

const claims = ({ judged, ranges }: Own): MadeSection => ({
  id: 'claims',
  title: phrases.claims,
  blocks: table(
    phrases.claims,
    [phrases.claim, phrases.judgedOn, phrases.verdict, phrases.why],
    judged.verdicts.map((v) => ({
      cells: [
        `${v.subject}: ${claimText(v.claim)}`,
        v.path?.name ?? '',
        v.verdict.outcome,
        [
          v.verdict.reason,
          v.neverSettled === undefined ? '' : phrases.thePlanCouldNeverHaveSettled2(v.neverSettled),
          v.verdict.next ?? '',
        ]
          .filter((t) => t !== '')
          .join(' '),
      ],
      rests: claimRests(v, ranges),
    })),
  ),
});

export const marginText = (margin: number | undefined, atLeast: boolean): string =>
  margin === undefined ? '' : `${atLeast ? phrases.atLeast : ''}${margin.toFixed(2)}×`;

const needs = ({ judged }: Own): MadeSection => ({
  id: 'needs',
  title: phrases.needs,
  blocks: table(
    phrases.needs,
    [
      phrases.use,
      phrases.needed,
      phrases.product,
      phrases.judgedOn,
      phrases.verdict,
      phrases.margin,
      phrases.why,
    ],
    judged.needs.map(({ need, product, subject, path, verdict }) => ({
      cells: [
        need.use,
        needText(need),
        subject,
        path?.name ?? '',
        verdict.outcome,
        marginText(verdict.margin, verdict.atLeast),
        verdict.reason,
      ],
      rests: [`need:${need.id}`, `product:${product.id}`, ...(path ? [`path:${path.id}` as const] : [])],
    })),
  ),
});

const milliseconds = (s: number): string => phrases.ms((1000 * s).toFixed(0));

const latency = ({ judged, unit }: Own): MadeSection => ({
  id: 'latency',
  title: phrases.latency,
  blocks: table(
    phrases.latency,
    [
      phrases.product,
      phrases.at3,
      phrases.method,
      phrases.latency95Percent,
      phrases.resolution,
      phrases.readings,
    ],
    judged.latencies.map(({ product, row, latency: found, refused }) => ({
      cells: [
        product.name,
        row.distanceM === undefined ? phrases.theBench : formatLength(row.distanceM, unit),
        row.method,
        found ? `${milliseconds(found.latencyS)} ± ${milliseconds(found.halfWidthS)}` : phrases.none(refused),
        found ? milliseconds(found.resolutionS) : '',
        found ? String(found.readings) : '',
      ],
      rests: [`latency:${product.id}`],
    })),
  ),
});

const stations = ({ judged }: Own): MadeSection => ({
  id: 'stations',
  title: phrases.atOnePlace,
  blocks: table(
    phrases.readingsWithoutAWalk,
    [
      phrases.what,
      phrases.product,
      phrases.place,
      phrases.ofText2,
      phrases.settingsMeanLeastToMost,
      phrases.whatItSays,
    ],
    judged.stations.map(({ row, product, found, said }) => ({
      cells: [
        row.what,
        product?.name ?? phrases.notStated,
        row.place ?? phrases.notStated,
        row.direction === undefined ? row.quantity : `${row.quantity}, ${row.direction}`,
        found.settings.map((s) => settingText(s, row.quantity)).join('; '),
        said.join(' '),
      ],
      rests: [`station:${row.id}`],
    })),
  ),
});

const costs = ({ judged, setup, unit, ranges }: Own): MadeSection => ({
  id: 'costs',
  title: phrases.costOfAMetre,
  blocks: judged.costs.flatMap((c) =>
    table(
      c.title,
      [
        phrases.product,
        phrases.everythingNeeded,
        phrases.n9Of10HoldTo,
        phrases.perMetre,
        phrases.perMetreGained,
      ],
      c.rows.map((r) => ({
        cells: [
          r.product,
          `${r.total.toFixed(2)} ${setup.currency ?? ''}`.trim(),
          formatLength(r.reachM, unit),
          r.perMetre.toFixed(2),
          r.perMetreGained?.toFixed(2) ?? '',
        ],
        rests: ranges
          .filter((range) => range.path.id === c.pathId && range.kindId === c.kindId)
          .flatMap((range) => cellRests(range, [r.product])),
      })),
    ),
  ),
});

/** Ratios of wanted to unwanted; they are no ranges, and none is made of them. */
const interference = ({ setup }: Own): MadeSection => ({
  id: 'interference',
  title: phrases.interference,
  blocks:
    (setup.interference ?? []).length === 0
      ? []
      : [
          ...table(
            phrases.interferenceCabledOrShielded,
            [phrases.source, phrases.test, phrases.frequency, phrases.whatItBears],
            (setup.interference ?? []).map((r) => ({
              cells: [r.label, r.test, phrases.mhz(r.frequencyMHz), interferenceText(r)],
              rests: [`interference:${r.id}`],
            })),
          ),
          {
            kind: 'list',
            items: [
              say(
                phrases.aRatioOfWantedToUnwanted,
                (setup.interference ?? []).map((r): Rest => `interference:${r.id}`),
              ),
            ],
          },
        ],
});

const tested = ({ setup, findings, unit }: Own): MadeSection => ({
  id: 'tested',
  title: phrases.whatWasTestedAndHowIt,
  blocks: [testedTable(setup, findings, unit)],
});

const where = ({ setup, findings, unit, ranges, unfinished }: Own): MadeSection => ({
  id: 'where',
  title: phrases.whereConditionsAndCaveats,
  blocks: [
    ...whereBlocks(setup, findings, unit),
    {
      kind: 'list',
      items: [...conditionItems(findings), ...caveatItems(setup, ranges, findings, unfinished)],
    },
  ],
});

/** What the audits found: left as it is for a reason, or open. */
const fairness = ({ judged, findings }: Own): MadeSection => ({
  id: 'fairness',
  title: phrases.fairnessAndConsistency,
  blocks: table(
    phrases.foundByTheAudits,
    [phrases.where, phrases.what, phrases.couldBeWorth, phrases.acceptedBecause],
    judged.audits.map((a) => ({
      cells: [a.path, `${a.title}: ${a.what}.`, a.size ?? '', a.acknowledged ?? phrases.open(a.mend)],
      rests:
        a.products.length > 0
          ? a.products.map((id): Rest => `product:${id}`)
          : walkRests(findings.filter((f) => f.path.name === a.path || a.path === '')),
    })),
  ),
});

/** Walks that were made and are in no figure: named, with the reason. */
const leftOutItems = (leftOut: readonly Finding[]): Sentence[] =>
  leftOut.map((f) =>
    say(phrases.walkOfOnWasLeftOut(f.label, f.product, f.path.name, f.leftOut), walkRests([f])),
  );

const untested = ({ setup, findings, judged, leftOut }: Own): MadeSection => ({
  id: 'untested',
  title: phrases.whatWasNotTested,
  blocks: [
    {
      kind: 'list',
      items: [
        ...leftOutItems(leftOut),
        ...untestedItems(setup, findings),
        ...judged.verdicts
          .filter((v) => v.verdict.outcome === 'not tested')
          .map((v) =>
            say(phrases.theClaimOf(v.subject, claimText(v.claim), v.verdict.reason), [`claim:${v.claim.id}`]),
          ),
      ],
    },
  ],
});

const repeat = ({ setup, ranges, unit }: Own): MadeSection => ({
  id: 'repeat',
  title: phrases.howToRepeatIt,
  blocks: ranges.length > 0 ? [{ kind: 'list', items: repeatItems(setup, ranges, unit) }] : [],
});

const paid = (own: Own): MadeSection => ({
  id: 'paid',
  title: phrases.whoPaid,
  blocks: [
    paragraph(
      'paid',
      say(own.setup.report?.disclosure.trim() || phrases.notStatedWhoPaidForThis, ['disclosure']),
    ),
  ],
});
