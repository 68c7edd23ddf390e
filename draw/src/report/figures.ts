import {
  formatLength,
  heldText,
  QUANTITY_UNIT,
  speedRatioText,
  type Direction,
  type LengthUnit,
  type Quantity,
  type SettingFound,
} from '@urvek/core';
import type {
  FigureRange,
  HandOverFound,
  PathFigures,
  RangeView,
  SpeedPair,
  StandSet,
  ThroughputFinding,
} from '@urvek/study';
import { estimateText } from '../tape/rangeLanes.ts';
import type { MadeBlock } from './document.ts';
import { cellRests, say, type Sentence } from './sentence.ts';
import * as phrases from './phrases.ts';

type Of = Pick<RangeView, 'id' | 'subjects'>;

/** As the trade says it of a link with a far end: down towards the mobile one, up from it. */
export const WAY: Readonly<Record<Direction, string>> = {
  'fixed-to-mobile': 'down',
  'mobile-to-fixed': 'up',
};

/** There and back: a way would say more than was read. */
const BOTH_WAYS: readonly Quantity[] = ['round trip', 'round-trip variation'];

/** "Hub, down", or "Hub" of what goes there and back. */
export const readOf = ({
  product,
  quantity,
  direction,
}: Pick<StandSet, 'product' | 'quantity' | 'direction'>): string =>
  BOTH_WAYS.includes(quantity) ? product : `${product}, ${WAY[direction]}`;

/** Whole numbers above ten, one digit below. */
export const rate = (mbps: number): string => (mbps >= 10 || mbps === 0 ? mbps.toFixed(0) : mbps.toFixed(1));

/** What was read near by: a value, or what it is at least where something else than the link was read. */
export function nearText({ parts, cap, nearVisits }: ThroughputFinding, unit: LengthUnit): string {
  const show = (m: number): string => formatLength(m, unit);
  const near = parts[0]?.curve[0];
  if (!near) return phrases.nothingWasReadNearBy;
  const n = phrases.countedVisits(nearVisits.length);
  if (cap?.measured) return phrases.atLeastMbitSUpTo(rate(cap.levelMbps), show(cap.toM));
  if (cap) return phrases.atLeastMbitSItsNearest(rate(cap.levelMbps), cap.points, show(cap.toM));
  return phrases.mbitSAt(rate(near.mbps), show(near.distanceM), n);
}

/** "fell by 52 %, 620 to 300 Mbit/s, from 10 m to 800 m"; undefined with one distance only. */
export function fallText({ fall, cap }: ThroughputFinding, unit: LengthUnit): string | undefined {
  if (!fall) return undefined;
  const show = (m: number): string => formatLength(m, unit);
  const by = `${cap ? phrases.atLeast : ''}${Math.abs(100 * fall.share).toFixed(0)} %`;
  const from = phrases.toMbitSFromTo(
    rate(fall.nearMbps),
    rate(fall.farMbps),
    show(fall.nearM),
    show(fall.farM),
  );
  return fall.share < 0 ? phrases.roseBy(by, from) : phrases.fellBy(by, from);
}

const ofProduct = (of: Of, product: string) => cellRests(of, [product]);

/** All that is said of the throughput of one product, one way. */
function productSentences(of: Of, found: ThroughputFinding, unit: LengthUnit): Sentence[] {
  const { product, direction, lostAtM, bounds } = found;
  const show = (m: number): string => formatLength(m, unit);
  const fall = fallText(found, unit);
  return [
    `${product}, ${WAY[direction]}: ${nearText(found, unit)}${fall === undefined ? '' : phrases.it(fall)}.`,
    ...(lostAtM === undefined ? [] : [lostText(found, lostAtM, show)]),
    ...handOverTexts(found, show),
    ...(bounds === 0 ? [] : [phrases.readingsTellOneSideOnly(product, WAY[direction], bounds)]),
  ].map((text) => say(text, ofProduct(of, product)));
}

/** In how many walks nothing came through, and where nearest. */
function lostText(
  { product, direction, rows }: ThroughputFinding,
  lostAtM: number,
  show: (m: number) => string,
): string {
  const walks = new Set(rows.map((r) => r.walkId)).size;
  const lost = new Set(rows.filter((r) => r.mbps === 0).map((r) => r.walkId)).size;
  return phrases.noConnectionInOfNearestAt(
    product,
    WAY[direction],
    lost,
    phrases.countedWalks(walks),
    show(lostAtM),
  );
}

/** Who noticed the hand-overs. */
function saidBy(own: readonly HandOverFound[]): string {
  const by = new Set(own.map((h) => h.noticedBy));
  const [only] = by.size === 1 ? by : [];
  if (only === 'readings') return phrases.asItsReadingsSay;
  if (only === 'walker') return phrases.asTheWalkerNoticed;
  return only === undefined ? phrases.asItsReadingsOrTheWalker : phrases.asItsReadingsSayAndThe;
}

/** What changed to what, and between where and where on all the walks in which it did. */
function handOverTexts(
  { product, direction, handOvers, rows }: ThroughputFinding,
  show: (m: number) => string,
): string[] {
  const walks = new Set(rows.map((r) => r.walkId)).size;
  const kinds = [...new Set(handOvers.map((h) => `${h.from}\n${h.to}`))];
  return kinds.map((kind) => {
    const own = handOvers.filter((h) => `${h.from}\n${h.to}` === kind);
    const [{ from, to }] = own as [(typeof own)[number]];
    // The walker's own place is finer than the two readings around it.
    const ends = own.flatMap((h) => (h.noticedAtM === undefined ? [h.fromM, h.toM] : [h.noticedAtM]));
    const [nearM, farM] = [show(Math.min(...ends)), show(Math.max(...ends))];
    const where = nearM === farM ? phrases.at(nearM) : phrases.betweenAnd(nearM, farM);
    const n = new Set(own.map((h) => h.walk)).size;
    return phrases.changedFromToInOfEach(
      product,
      WAY[direction],
      from,
      to,
      where,
      n,
      phrases.countedWalks(walks),
      saidBy(own),
    );
  });
}

/** "Up fell by 80 %, down by 52 %": which way suffered more. */
function bothFell(of: Of, curves: readonly ThroughputFinding[]): Sentence[] {
  return [...new Set(curves.map((c) => c.product))].flatMap((product): Sentence[] => {
    const [down, up] = (['fixed-to-mobile', 'mobile-to-fixed'] as const).map((d) =>
      curves.find((c) => c.product === product && c.direction === d),
    );
    const [a, b] = [down?.fall, up?.fall];
    if (!a || !b || a.farM !== b.farM || a.share < 0 || b.share < 0) return [];
    const cap = down?.cap || up?.cap ? phrases.atLeastForWhatIsNear : '';
    return [
      say(
        phrases.overTheWayUpFellBy(product, (100 * b.share).toFixed(0), (100 * a.share).toFixed(0), cap),
        ofProduct(of, product),
      ),
    ];
  });
}

export const speedText = (pair: SpeedPair): string => {
  const text = speedRatioText(pair);
  return text === undefined ? phrases.notRanked(pair.refused ?? phrases.noStandAtWhichBothWere) : text;
};

const speedSentence = (of: Of, pair: SpeedPair): Sentence =>
  say(
    `${pair.a} against ${pair.b}, ${WAY[pair.direction]}: ${speedText(pair)}.`,
    cellRests(of, [pair.a, pair.b]),
  );

/** How far a figure reaches, product by product. */
const figureReach = (of: Of, { need, direction, summary }: FigureRange, unit: LengthUnit): Sentence[] =>
  summary.fitted
    .filter((c) => c.walks > 0)
    .map((c) =>
      say(
        `${c.product}, ${need}, ${WAY[direction]}: ` +
          `${c.bounds && c.failures === 0 ? heldText(c) : estimateText(c, unit)}.`,
        ofProduct(of, c.product),
      ),
    );

/** What readings say of the products of a range, in words. */
export function figureSentences(of: Of, found: PathFigures, unit: LengthUnit): Sentence[] {
  const { throughput, speeds, figures } = found;
  const shared = Object.entries(throughput.shared).map(([direction, cap]) =>
    say(phrases.productsReadAlikeAtTheNear(WAY[direction as Direction], rate(cap.levelMbps)), cellRests(of)),
  );
  return [
    ...throughput.curves.flatMap((c) => productSentences(of, c, unit)),
    ...bothFell(of, throughput.curves),
    ...shared,
    ...speeds.map((s) => speedSentence(of, s)),
    ...figures.flatMap((f) => figureReach(of, f, unit)),
  ];
}

/** Median and spread of a stand, with how often nothing came through. */
export function setText({ median, least, most, readings, none, quantity }: StandSet): string {
  const unit = QUANTITY_UNIT[quantity];
  const digits = (v: number): string => (quantity === 'throughput' ? rate(v) : String(Number(v.toFixed(1))));
  const lost = none === 0 ? '' : phrases.noConnectionInOf(none, readings);
  if (none === readings) return lost;
  if (median === undefined)
    return least === undefined || most === undefined
      ? lost
      : phrases.elseText(lost, least === most ? '' : phrases.to(digits(least)), digits(most), unit);
  const spread =
    least === undefined || most === undefined || least === most
      ? ''
      : phrases.to2(digits(least), digits(most));
  return `${digits(median)} ${unit}${spread}, n ${readings}${lost === '' ? '' : `; ${lost}`}`;
}

/** More places than these are no table any more: a level that is logged all the way has hundreds. */
export const MOST_STANDS = 14;

/** Readings at stands: a table a product, a row a stand, a column a quantity and way, so that it fits a page. */
export function standTables(of: Of, sets: readonly StandSet[], unit: LengthUnit): MadeBlock[] {
  const places = new Set(sets.map((s) => s.stand)).size;
  if (places > MOST_STANDS)
    return [
      {
        kind: 'list',
        items: [say(phrases.readingsAtPlacesEachStandsIn(places), cellRests(of))],
      },
    ];
  return [...new Set(sets.map((s) => s.product))].map((product): MadeBlock => {
    const own = sets.filter((s) => s.product === product);
    const columns = [...new Set(own.map(columnOf))];
    const stands = new Map(own.map((s) => [s.stand, s.distanceM]));
    return {
      kind: 'table',
      caption: phrases.readingsAtStandsMedianLeastTo(product),
      head: [product, ...columns],
      rows: [...stands]
        .sort(([, a], [, b]) => a - b)
        .map(([stand, m]) => ({
          cells: [
            /^\d+ m$/.test(stand) ? stand : `${stand}, ${formatLength(m, unit)}`,
            ...columns.map((c) =>
              own
                .filter((s) => s.stand === stand && columnOf(s) === c)
                .map(setText)
                .join('; '),
            ),
          ],
          rests: ofProduct(of, product),
        })),
    };
  });
}

const columnOf = ({ quantity, direction }: StandSet): string =>
  BOTH_WAYS.includes(quantity) ? quantity : `${quantity}, ${WAY[direction]}`;

/** "tilt 2: −61.5 dBm (−63 to −60), n 3". */
export const settingText = ({ setting, mean, least, most, n }: SettingFound, quantity: Quantity): string =>
  `${setting}: ${quantity === 'bars' ? '' : `${mean.toFixed(1)} ${QUANTITY_UNIT[quantity]} `}(` +
  `${least} to ${most}), n ${n}`;
