import {
  formatLength,
  parseClaim,
  parseLength,
  type Ends,
  type LengthUnit,
  type NeedOutcome,
  type FoundFigures,
  type RatioFinding,
  type VerdictOutcome,
} from '@urvek/core';
import {
  claimText,
  needText,
  ratioFigures,
  type ClaimVerdict,
  type JudgementView,
  type NeedJudged,
  type RangeView,
} from '@urvek/study';
import { line, path, rect, text, type Scene, type Shape } from '../scene.ts';
import { endsText } from '../tape/rangeLanes.ts';
import { reachScale, scaleFor, type ReachScale } from './reachScale.ts';
import * as phrases from './phrases.ts';

/** What was claimed, or needed, and what was found, as they stand on one scale. */
interface Placed {
  /** Metres, or a factor; absent where nobody asked how far. */
  readonly said: number | undefined;
  readonly found: number | undefined;
  readonly ends: Ends | undefined;
  /** The figure found is a bound: at least so much. */
  readonly atLeast: boolean;
}

/** A line of the ledger: a claim or a need on one path, its verdict, the figures it rests on and one next step. */
export interface LedgerLine {
  /** Its name in an address. */
  readonly id: string;
  readonly of: { readonly claim: ClaimVerdict } | { readonly need: NeedJudged };
  readonly outcome: VerdictOutcome | NeedOutcome;
  readonly subject: string;
  /** What is said, or asked for, and where it was judged. */
  readonly said: string;
  readonly where: string;
  readonly scale: 'distance' | 'ratio' | undefined;
  readonly placed: Placed | undefined;
  /** What was found; absent where nothing was. Its sentence stands in the line opened. */
  readonly figures: FoundFigures | undefined;
  readonly reason: string;
  /** The next step in two or three words. */
  readonly step: string | undefined;
}

/** Claims in the order of the kit, then needs. */
export const ledgerLines = (judged: JudgementView, unit: LengthUnit): LedgerLine[] => [
  ...judged.verdicts.map((v) => claimLine(v, rangeOf(judged, v.path?.id, v.product.kindId), unit)),
  ...judged.needs.map((n) => needLine(n, unit)),
];

const rangeOf = (
  { ranges }: JudgementView,
  pathId: string | undefined,
  kindId: string,
): RangeView | undefined => ranges.find((r) => r.path.id === pathId && r.kindId === kindId);

function claimLine(claim: ClaimVerdict, range: RangeView | undefined, unit: LengthUnit): LedgerLine {
  const { verdict, subject, path: walked } = claim;
  const found = placedClaim(claim, range);
  return {
    id: `${claim.claim.id}~${walked?.id ?? ''}~${subject}`,
    of: { claim },
    ...{ outcome: verdict.outcome, subject, said: claimText(claim.claim), step: verdict.step },
    where: walked?.name ?? (claim.claim.form === 'distance' ? phrases.noPathOfThisCondition : phrases.noPath),
    scale: found?.scale,
    placed: found?.placed,
    figures: (found && figuresOf(found, unit)) ?? verdict.found,
    reason: verdict.reason,
  };
}

interface Found {
  readonly scale: 'distance' | 'ratio';
  readonly placed: Placed;
  readonly n: string;
}

function placedClaim(
  { claim, subject, verdict }: ClaimVerdict,
  range: RangeView | undefined,
): Found | undefined {
  if (claim.form === 'distance') {
    const said = parseClaim('distance', claim.entered).value;
    const cell = range?.summary.fitted.find((c) => c.product === subject && c.walks > 0);
    if (!cell)
      return {
        scale: 'distance',
        n: '',
        placed: { said, found: undefined, ends: undefined, atLeast: false },
      };
    const ends = cell.withScale95M.median;
    const bound = cell.failures === 0 ? (cell.withScale95M.allHeldToM ?? cell.bounds?.allHeldToM) : undefined;
    return {
      scale: 'distance',
      n: String(cell.walks),
      placed: {
        said,
        ends,
        found: cell.median?.estimateM ?? bound,
        atLeast: bound !== undefined && !cell.median,
      },
    };
  }
  if (claim.form !== 'ratio' || !range || verdict.outcome === 'not tested') return undefined;
  const against = claimedRatio(claim, subject, range);
  if (!against) return undefined;
  const { ratio, low, high } = ratioFigures({ of: against, inverse: against.denominator === subject });
  return {
    scale: 'ratio',
    n: against.walks.join(', '),
    placed: {
      said: parseClaim('ratio', claim.entered).value,
      found: ratio,
      ends: { low, high },
      atLeast: false,
    },
  };
}

/** Against the one that the claim names, as it was judged; undefined where that is not one alone. */
function claimedRatio(
  { against, againstRigId }: ClaimVerdict['claim'],
  subject: string,
  { subjects, summary }: RangeView,
): RatioFinding | undefined {
  const others = subjects.filter(
    (s) =>
      s.name !== subject &&
      s.product.id === against &&
      (againstRigId === undefined || s.rigs.some((r) => r.id === againstRigId)),
  );
  const [other] = others;
  if (!other || others.length > 1) return undefined;
  return summary.productRatios.find(
    (r) =>
      r.estimate &&
      [r.numerator, r.denominator].includes(subject) &&
      [r.numerator, r.denominator].includes(other.name),
  );
}

/** What was found as it is written; undefined where nothing was. */
function figuresOf(
  { scale, placed: { found, ends, atLeast }, n }: Found,
  unit: LengthUnit,
): FoundFigures | undefined {
  if (found === undefined && !ends) return undefined;
  const show = (value: number): string =>
    scale === 'ratio' ? `×${value.toFixed(2)}` : formatLength(value, unit);
  return {
    figure: found === undefined ? undefined : `${atLeast ? 'over ' : ''}${show(found)}`,
    interval: ends && endsText(ends.low, ends.high, show),
    n,
  };
}

function needLine(need: NeedJudged, unit: LengthUnit): LedgerLine {
  const { verdict, subject, path: walked } = need;
  const metres = need.need.entered === '' ? undefined : parseLength(need.need.entered).valueM;
  const { margin, atLeast, kOfN } = verdict;
  const found = metres === undefined || margin === undefined ? undefined : margin * metres;
  const reach = verdict.reach;
  const placed =
    metres !== undefined
      ? { said: metres, found, ends: undefined, atLeast }
      : reach && { said: undefined, found: reach.foundM, ends: reach.ends, atLeast: reach.atLeast };
  const n = kOfN ? phrases.ofText(kOfN.held, kOfN.of) : reach ? String(reach.walks) : '';
  return {
    id: `${need.need.id}~${subject}`,
    of: { need },
    ...{ outcome: verdict.outcome, subject, step: undefined, placed, reason: verdict.reason },
    said: `${need.need.use}: ${needText(need.need)}`,
    where: walked?.name ?? phrases.noPath,
    scale: placed && 'distance',
    figures: placed && figuresOf({ scale: 'distance', placed, n }, unit),
  };
}

/** One scale for all distances of the ledger, and one for its ratios. */
export interface LedgerScales {
  readonly distance: ReachScale;
  readonly ratio: ReachScale;
}

export function ledgerScales(lines: readonly LedgerLine[], width: number, unit: LengthUnit): LedgerScales {
  const of = (scale: 'distance' | 'ratio'): number[] =>
    lines
      .flatMap(({ placed, ...l }) =>
        placed && l.scale === scale
          ? [placed.said, placed.found, placed.ends?.low, scale === 'ratio' ? placed.ends?.high : undefined]
          : [],
      )
      .filter((v): v is number => v !== undefined && v > 0 && Number.isFinite(v));
  const [metres, factors] = [of('distance'), of('ratio')];
  return {
    distance: scaleFor(metres, width, unit),
    ratio: reachScale(Math.min(0.4, ...factors) * 0.9, Math.max(2.5, ...factors) * 1.1, width, 'm'),
  };
}

export const LEDGER_STRIP_PX = 34;
const MIDDLE = 12;

/** The claim as a tick on what was found. */
export function ledgerStrip(of: LedgerLine, scales: LedgerScales, unit: LengthUnit): Scene {
  const scale = of.scale && scales[of.scale];
  return {
    width: scales.distance.width,
    height: LEDGER_STRIP_PX,
    title: `${of.subject}, ${of.said}: ${of.outcome}; ${of.reason}`,
    groups: [
      {
        id: of.id,
        title: undefined,
        shapes: scale && of.placed ? stripShapes(of.placed, scale, of.scale === 'ratio', unit) : [],
      },
    ],
  };
}

function stripShapes(
  { said, found, ends, atLeast }: Placed,
  scale: ReachScale,
  ratio: boolean,
  unit: LengthUnit,
): Shape[] {
  const at = said === undefined ? undefined : scale.x(said);
  const low = ends?.low === undefined ? undefined : scale.x(ends.low);
  const high = ends?.high === undefined ? undefined : scale.x(ends.high);
  const place = found === undefined ? undefined : scale.x(found);
  const drawn: Shape[] = [
    ...(ends && (low !== undefined || high !== undefined)
      ? [
          rect(
            low ?? scale.x(scale.leastM),
            MIDDLE - 6,
            (high ?? scale.x(scale.mostM)) - (low ?? scale.x(scale.leastM)),
            12,
            'interval',
          ),
        ]
      : []),
    ...(place === undefined
      ? []
      : atLeast
        ? [
            line(place, MIDDLE - 7, place, MIDDLE + 7, 'bracket'),
            line(place, MIDDLE, place + 14, MIDDLE, 'bound'),
            path(`M${place + 14} ${MIDDLE - 5}l9 5l-9 5z`, 'arrow'),
          ]
        : [path(`M${place} ${MIDDLE - 8}l6 8l-6 8l-6 -8z`, 'median')]),
  ];
  const claim =
    at === undefined || said === undefined
      ? []
      : claimShapes(at, ratio ? `×${said}` : formatLength(said, unit), scale.width);
  return [
    ...scale.ticks.map(({ atM }) => line(scale.x(atM), 3, scale.x(atM), 21, 'grid')),
    ...(ratio ? [line(scale.x(1), 2, scale.x(1), 22, 'zero')] : []),
    ...drawn,
    ...claim,
  ];
}

const claimShapes = (at: number, label: string, width: number): Shape[] => [
  line(at, 0, at, 23, 'claim'),
  text(at, 33, label, 'claim-text', at > width - 30 ? 'end' : at < 30 ? 'start' : 'middle'),
];
