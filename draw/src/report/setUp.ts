import type { Setup } from '@urvek/contract';
import {
  byMethod,
  CRITERION_MEANING,
  DIRECTIONS,
  formatLength,
  hopsOf,
  INTERVAL_METHOD,
  kindOf,
  pathLengthM,
  type Conditions,
  type LengthUnit,
} from '@urvek/core';
import {
  walkedOrder,
  rangeTitle,
  unitsWalked,
  type Finding,
  type RangeView,
  type SetupPath,
} from '@urvek/study';
import { travelledGround } from '../tape/ground.ts';
import { tapeScene } from '../tape/tape.ts';
import { walkLanes } from '../tape/walkLanes.ts';
import { thinnessOf } from '../thinness.ts';
import type { MadeBlock } from './document.ts';
import { cellRests, say, walkRests, type Sentence } from './sentence.ts';
import * as phrases from './phrases.ts';

export const PUBLISHED_PX = 1160;

const NOT_STATED = phrases.notStated;

const stated = (value: number | undefined, unit: string, what: string): string =>
  value === undefined ? `${what} ${NOT_STATED}` : `${value} ${unit}`;

/** Heights are small beside distances: in metres or feet, never in kilometres or miles. */
function heightsText(fixedM: number | undefined, mobileM: number | undefined, unit: LengthUnit): string {
  const small = unit === 'mi' || unit === 'yd' || unit === 'ft' ? 'ft' : 'm';
  const show = (m: number | undefined): string => (m === undefined ? NOT_STATED : formatLength(m, small));
  return fixedM === undefined && mobileM === undefined ? NOT_STATED : `${show(fixedM)}, ${show(mobileM)}`;
}

export function testedTable({ products }: Setup, findings: readonly Finding[], unit: LengthUnit): MadeBlock {
  return {
    kind: 'table',
    caption: phrases.productsAndRigs,
    head: [
      phrases.product,
      phrases.kind,
      phrases.bandPower,
      phrases.unitsWalked,
      phrases.rig,
      phrases.heightsFixedAndMobileEnd,
      phrases.channel,
      phrases.antennaBody,
    ],
    rows: products.flatMap((p) =>
      p.rigs
        .filter((r, i) => i === 0 || findings.some((f) => f.header.rigId === r.id))
        .map((r) => ({
          cells: [
            p.name,
            kindOf(p.kindId).name,
            `${stated(p.bandMHz, 'MHz', 'band')}, ${stated(r.powerMw ?? p.powerMw, 'mW', 'power')}`,
            String(unitsWalked(p, findings)),
            r.name,
            heightsText(r.heightFixedM, r.heightMobileM, unit),
            r.channel || NOT_STATED,
            [r.antennaPlace, r.orientation, r.bodyPosition].filter((t) => t).join('; ') || NOT_STATED,
          ],
          rests: [`product:${p.id}` as const],
        })),
    ),
  };
}

/** Each path with one walk as an example. */
export function whereBlocks({ paths }: Setup, findings: readonly Finding[], unit: LengthUnit): MadeBlock[] {
  return paths.flatMap((path): MadeBlock[] => {
    const example = findings.find((f) => f.path.id === path.id);
    const scene = tapeScene({
      title: phrases.thePath(path.name),
      ground: travelledGround(path),
      measure: 'travelled',
      unit,
      width: PUBLISHED_PX,
      lanes: example ? walkLanes(example.trace, phrases.walk(example.label), 'example') : [],
    });
    return [
      {
        kind: 'figure',
        name: phrases.path(path.name),
        scene,
        caption:
          `${pathText(path, unit)}` +
          `${example ? phrases.belowTheTapeAsAnExample(example.product, example.label) : ''}`,
      },
    ];
  });
}

const pathText = (path: SetupPath, unit: LengthUnit): string =>
  phrases.inCheckpoints(
    path.name,
    path.condition === 'unstated' ? phrases.conditionNotStated : path.condition,
    formatLength(pathLengthM(path), unit),
    phrases.countedLegs(path.legs.length),
    path.obstructions.length > 0
      ? `; ${path.obstructions.map((o) => phrases.at2(o.label, formatLength(o.atM, unit))).join(', ')}`
      : '',
    path.checkpoints.length,
  );

/** What was noted of the days, each value once with its walks. */
const said = (value: string | number | boolean): string =>
  value === true ? 'yes' : value === false ? 'no' : String(value);

export function conditionItems(findings: readonly Finding[]): Sentence[] {
  const LABEL: Readonly<Record<keyof Conditions, string>> = {
    weather: phrases.weather,
    groundWet: phrases.groundWet,
    temperatureC: phrases.temperatureC,
    leaf: phrases.leaf,
    peopleAbout: phrases.peopleAbout,
    otherTransmitters: phrases.otherTransmitters,
    load: phrases.load,
    instrument: phrases.readWith,
    gradedBy: phrases.gradedBy,
  };
  if (findings.length === 0) return [];
  const noted = (Object.keys(LABEL) as (keyof Conditions)[]).flatMap((key) => {
    const stating = findings.filter((f) => f.trace.begin.body.conditions?.[key] !== undefined);
    const counts = new Map<string, number>();
    for (const f of stating) {
      const value = said(f.trace.begin.body.conditions?.[key] as string | number | boolean);
      counts.set(value, (counts.get(value) ?? 0) + 1);
    }
    const values = [...counts].map(([value, n]) => `${value} (${phrases.countedWalks(n)})`);
    return stating.length > 0 ? [say(`${LABEL[key]}: ${values.join(', ')}.`, walkRests(stating))] : [];
  });
  return noted.length > 0 ? noted : [say(phrases.nothingWasNotedOfWeatherPeople, walkRests(findings))];
}

/** Of a chain with a relay, which hop each loss was of. */
function lostHops(finding: Finding): Sentence[] {
  const { product, label, header, subject, trace } = finding;
  const rig = subject.rigs.find((r) => r.id === header.rigId);
  if (!rig || hopsOf(rig).length < 2 || trace.lostHops.length === 0) return [];
  return [
    say(
      `${product}, walk ${label}: lost ` +
        `${trace.lostHops.map((h) => h ?? phrases.aHopNotKnownWhich).join(phrases.then)}.`,
      walkRests([finding]),
    ),
  ];
}

function failedChecks(setup: Setup, { header, trace }: Finding): string[] {
  const kindId = setup.products.find((p) => p.id === header.productId)?.kindId;
  return (trace.begin.body.checks ?? []).flatMap((c) =>
    c.result === 'failed'
      ? [(kindId !== undefined && kindOf(kindId).checks.find((k) => k.id === c.id)?.text) || c.id]
      : [],
  );
}

export function caveatItems(
  setup: Setup,
  ranges: readonly RangeView[],
  findings: readonly Finding[],
  unfinished: readonly Finding[],
): Sentence[] {
  const moving = findings.filter((f) => f.directions.some((d) => !d.trace.byStands));
  const byStands = findings.filter((f) => f.trace.byStands);
  return [
    ...ranges.flatMap((r) => {
      const order = walkedOrder(r);
      return order === undefined
        ? []
        : [say(phrases.orderOfTheProductsAsThey(rangeTitle(setup, r), order), cellRests(r))];
    }),
    ...(unfinished.length > 0
      ? [say(phrases.notFinishedLeftOut(unfinished.length), walkRests(unfinished))]
      : []),
    ...ranges.flatMap((r) =>
      thinnessOf(setup, r).map(({ text, rests }) => say(`${rangeTitle(setup, r)}: ${text}`, rests)),
    ),
    ...(ranges.some((r) => r.summary.n > 0)
      ? [
          say(
            phrases.rangeIsStatedInSeparationThe,
            ranges.flatMap((r) => cellRests(r)),
          ),
        ]
      : []),
    ...(moving.length > 0 ? [say(phrases.whatWasHeardOnTheMove, walkRests(moving))] : []),
    ...(byStands.length > 0 ? [say(phrases.someWalksLookedAtStandsOnly, walkRests(byStands))] : []),
    ...findings.flatMap(lostHops),
    ...findings.flatMap((f) =>
      failedChecks(setup, f).map((text) =>
        say(phrases.walkFailedInTheRigCheck(f.product, f.label, text), walkRests([f])),
      ),
    ),
    ...waysTested(findings),
  ];
}

/** Which ways were looked at: once a product and set of ways. */
function waysTested(findings: readonly Finding[]): Sentence[] {
  const told = new Map<string, Finding[]>();
  for (const f of findings) {
    const ways = f.directions.map((d) => d.direction).join(' and ');
    if (ways === '') continue;
    const text = `${f.product}: tested ${ways}.`;
    told.set(text, [...(told.get(text) ?? []), f]);
  }
  return [...told].map(([text, own]) => say(text, walkRests(own)));
}

/** Products, paths and claims that nothing was found about. */
export function untestedItems(setup: Setup, findings: readonly Finding[]): Sentence[] {
  const walked = (productId: string, pathId: string): boolean =>
    findings.some((f) => f.header.productId === productId && f.header.pathId === pathId);
  const never = setup.products.filter((p) => !findings.some((f) => f.header.productId === p.id));
  const of = ({ id }: Setup['products'][number], text: string): Sentence => say(text, [`product:${id}`]);
  return [
    ...never.map((p) => of(p, phrases.wasNotWalked(p.name))),
    ...setup.products
      .filter((p) => !never.includes(p))
      .flatMap((p) => {
        const without = setup.paths.filter((path) => !walked(p.id, path.id));
        return without.length > 0
          ? [of(p, phrases.wasNotWalkedOn(p.name, without.map((x) => x.name).join(', ')))]
          : [];
      }),
    ...setup.products
      .filter(
        (p) =>
          kindOf(p.kindId).bothWays &&
          !never.includes(p) &&
          new Set(
            findings
              .filter((f) => f.header.productId === p.id)
              .flatMap((f) => f.directions.map((d) => d.direction)),
          ).size < 2,
      )
      .map((p) => of(p, `${p.name}: ${otherWay(findings, p.id)}`)),
    ...(findings.length > 0 ? [say(phrases.placesDaysAndUnitsOtherThan, walkRests(findings))] : []),
  ];
}

/** Which direction was not looked at. */
function otherWay(findings: readonly Finding[], productId: string): string {
  const [way] = findings
    .filter((f) => f.header.productId === productId)
    .flatMap((f) => f.directions.map((d) => d.direction));
  return way === undefined
    ? phrases.noDirectionWasLookedAt
    : phrases.wasNotLookedAt(DIRECTIONS.find((d) => d !== way) ?? '');
}

/** How a reader does it again. */
export function repeatItems(setup: Setup, ranges: readonly RangeView[], unit: LengthUnit): Sentence[] {
  const criteria = [...new Set(ranges.map((r) => r.criterion))];
  const kinds = [...new Set(setup.products.map((p) => p.kindId))];
  const all = ranges.flatMap((r) => cellRests(r));
  return [
    ...kinds.map((kindId) =>
      say(
        phrases.testSignal(kindOf(kindId).name, kindOf(kindId).testSignal),
        setup.products.filter((p) => p.kindId === kindId).map((p) => `product:${p.id}` as const),
      ),
    ),
    ...criteria.map((c) =>
      say(
        `${c}: ${CRITERION_MEANING[c]}.`,
        ranges
          .filter((r) => r.criterion === c)
          .flatMap((r) => [`path:${r.path.id}` as const, ...cellRests(r)]),
      ),
    ),
    ...ranges.flatMap((r) => {
      const cells = r.summary.fitted.filter((c) => c.walks > 0);
      const each = [...new Set(cells.map((c) => c.walks))];
      return cells.length === 0
        ? []
        : [
            say(
              `${rangeTitle(setup, r)}: ${
                each.length === 1
                  ? phrases.ofEachProduct(phrases.countedWalks(each[0] ?? 0))
                  : cells.map((c) => phrases.ofText(c.walks, c.product)).join(', ')
              }.`,
              cellRests(r),
            ),
          ];
    }),
    ...setup.paths.map((p) =>
      say(
        phrases.distancesCheckpointsAt(
          p.name,
          byMethod(p.distanceMethod),
          p.checkpoints.map((c) => formatLength(c.atM, unit)).join(', ') || phrases.noPlace,
        ),
        [`path:${p.id}`],
      ),
    ),
    ...(all.length > 0
      ? [
          say(phrases.estimatesLognormalModelOnIntervalsOne(INTERVAL_METHOD), all),
          say(phrases.howEveryFigureIsMadeWith, all),
        ]
      : []),
  ];
}
