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
import type { Block } from './document.ts';

export const PUBLISHED_PX = 1160;

const NOT_STATED = 'not stated';

const stated = (value: number | undefined, unit: string, what: string): string =>
  value === undefined ? `${what} ${NOT_STATED}` : `${value} ${unit}`;

/** Heights are small beside distances: in metres or feet, never in kilometres or miles. */
function heightsText(fixedM: number | undefined, mobileM: number | undefined, unit: LengthUnit): string {
  const small = unit === 'mi' || unit === 'yd' || unit === 'ft' ? 'ft' : 'm';
  const show = (m: number | undefined): string => (m === undefined ? NOT_STATED : formatLength(m, small));
  return fixedM === undefined && mobileM === undefined ? NOT_STATED : `${show(fixedM)}, ${show(mobileM)}`;
}

export function testedTable({ products }: Setup, findings: readonly Finding[], unit: LengthUnit): Block {
  return {
    kind: 'table',
    caption: 'Products and rigs',
    head: [
      'Product',
      'Kind',
      'Band, power',
      'Units walked',
      'Rig',
      'Heights, fixed and mobile end',
      'Channel',
      'Antenna, body',
    ],
    rows: products.flatMap((p) =>
      p.rigs
        .filter((r, i) => i === 0 || findings.some((f) => f.header.rigId === r.id))
        .map((r) => [
          p.name,
          kindOf(p.kindId).name,
          `${stated(p.bandMHz, 'MHz', 'band')}, ${stated(r.powerMw ?? p.powerMw, 'mW', 'power')}`,
          String(unitsWalked(p, findings)),
          r.name,
          heightsText(r.heightFixedM, r.heightMobileM, unit),
          r.channel || NOT_STATED,
          [r.antennaPlace, r.orientation, r.bodyPosition].filter((t) => t).join('; ') || NOT_STATED,
        ]),
    ),
  };
}

/** Each path with one walk as an example. */
export function whereBlocks({ paths }: Setup, findings: readonly Finding[], unit: LengthUnit): Block[] {
  return paths.flatMap((path): Block[] => {
    const example = findings.find((f) => f.path.id === path.id);
    const scene = tapeScene({
      title: `The path ${path.name}`,
      ground: travelledGround(path),
      measure: 'travelled',
      unit,
      width: PUBLISHED_PX,
      lanes: example ? walkLanes(example.trace, `walk ${example.label}`, 'example') : [],
    });
    return [
      {
        kind: 'figure',
        name: `path ${path.name}`,
        scene,
        caption: `${pathText(path, unit)}${example ? ` Below the tape, as an example, ${example.product}, walk ${example.label}: clear is solid, degraded is hatched, lost is a gap.` : ''}`,
      },
    ];
  });
}

const pathText = (path: SetupPath, unit: LengthUnit): string =>
  `${path.name}, ${path.condition === 'unstated' ? 'condition not stated' : path.condition}: ${formatLength(pathLengthM(path), unit)} in ${path.legs.length} ${path.legs.length === 1 ? 'leg' : 'legs'}${path.obstructions.length > 0 ? `; ${path.obstructions.map((o) => `${o.label} at ${formatLength(o.atM, unit)}`).join(', ')}` : ''}; ${path.checkpoints.length} checkpoints.`;

/** What was noted of the days, each value once with its walks. */
const said = (value: string | number | boolean): string =>
  value === true ? 'yes' : value === false ? 'no' : String(value);

export function conditionItems(findings: readonly Finding[]): string[] {
  const LABEL: Readonly<Record<keyof Conditions, string>> = {
    weather: 'Weather',
    groundWet: 'Ground wet',
    temperatureC: 'Temperature, °C',
    leaf: 'Leaf',
    peopleAbout: 'People about',
    otherTransmitters: 'Other transmitters',
    load: 'Load',
    instrument: 'Read with',
  };
  const noted = (Object.keys(LABEL) as (keyof Conditions)[]).flatMap((key) => {
    const counts = new Map<string, number>();
    for (const f of findings) {
      const value = f.trace.begin.body.conditions?.[key];
      if (value !== undefined) counts.set(said(value), (counts.get(said(value)) ?? 0) + 1);
    }
    return counts.size > 0
      ? [
          `${LABEL[key]}: ${[...counts].map(([value, n]) => `${value} (${n} ${n === 1 ? 'walk' : 'walks'})`).join(', ')}.`,
        ]
      : [];
  });
  return noted.length > 0 ? noted : ['Nothing was noted of weather, people and other transmitters.'];
}

/** Of a chain with a relay, which hop each loss was of. */
function lostHops({ product, label, header, subject, trace }: Finding): string[] {
  const rig = subject.rigs.find((r) => r.id === header.rigId);
  if (!rig || hopsOf(rig).length < 2 || trace.lostHops.length === 0) return [];
  return [
    `${product}, walk ${label}: lost ${trace.lostHops.map((h) => h ?? 'a hop, not known which').join(', then ')}.`,
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
  unfinished: number,
): string[] {
  return [
    ...ranges.flatMap((r) => {
      const order = walkedOrder(r);
      return order === undefined
        ? []
        : [`${rangeTitle(setup, r)}: order of the products as they were walked: ${order}.`];
    }),
    ...(unfinished > 0
      ? [
          `${unfinished} ${unfinished === 1 ? 'walk that was' : 'walks that were'} not finished ${unfinished === 1 ? 'is' : 'are'} left out.`,
        ]
      : []),
    ...ranges.flatMap((r) => thinnessOf(setup, r).map((t) => `${rangeTitle(setup, r)}: ${t}`)),
    'Range is stated in separation, the straight line between the two ends, and speaks for its path.',
    ...(findings.some((f) => f.directions.some((d) => !d.trace.byStands))
      ? [
          'What was heard on the move is logged late: positions are corrected by the operator’s reaction time (0.6 ± 0.2 s unless it was measured) and the rig’s playout delay, where it is stated.',
        ]
      : []),
    ...(findings.some((f) => f.trace.byStands)
      ? ['Some walks looked at stands only: between stands nothing is known.']
      : []),
    ...findings.flatMap(lostHops),
    ...findings.flatMap((f) =>
      failedChecks(setup, f).map(
        (text) => `${f.product}, walk ${f.label}: failed in the rig check: ${text}.`,
      ),
    ),
    ...new Set(
      findings.map((f) => `${f.product}: tested ${f.directions.map((d) => d.direction).join(' and ')}.`),
    ),
  ];
}

/** Products, paths and claims that nothing was found about. */
export function untestedItems(setup: Setup, findings: readonly Finding[]): string[] {
  const walked = (productId: string, pathId: string): boolean =>
    findings.some((f) => f.header.productId === productId && f.header.pathId === pathId);
  const never = setup.products.filter((p) => !findings.some((f) => f.header.productId === p.id));
  return [
    ...never.map((p) => `${p.name} was not walked.`),
    ...setup.products
      .filter((p) => !never.includes(p))
      .flatMap((p) => {
        const without = setup.paths.filter((path) => !walked(p.id, path.id));
        return without.length > 0
          ? [`${p.name} was not walked on ${without.map((x) => x.name).join(', ')}.`]
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
      .map((p) => `${p.name}: ${otherWay(findings, p.id)}`),
    'Places, days and units other than these.',
  ];
}

/** Which direction was not looked at. */
function otherWay(findings: readonly Finding[], productId: string): string {
  const [way] = findings
    .filter((f) => f.header.productId === productId)
    .flatMap((f) => f.directions.map((d) => d.direction));
  return way === undefined
    ? 'no direction was looked at.'
    : `${DIRECTIONS.find((d) => d !== way) ?? ''} was not looked at.`;
}

/** How a reader does it again. */
export function repeatItems(setup: Setup, ranges: readonly RangeView[], unit: LengthUnit): string[] {
  const criteria = [...new Set(ranges.map((r) => r.criterion))];
  return [
    ...new Set(
      setup.products.map((p) => `${kindOf(p.kindId).name}, test signal: ${kindOf(p.kindId).testSignal}.`),
    ),
    ...criteria.map((c) => `${c}: ${CRITERION_MEANING[c]}.`),
    ...ranges.map((r) => {
      const each = [...new Set(r.summary.fitted.filter((c) => c.walks > 0).map((c) => c.walks))];
      return `${rangeTitle(setup, r)}: ${
        each.length === 1
          ? `${each[0]} ${each[0] === 1 ? 'walk' : 'walks'} of each product`
          : r.summary.fitted
              .filter((c) => c.walks > 0)
              .map((c) => `${c.walks} of ${c.product}`)
              .join(', ')
      }.`;
    }),
    ...setup.paths.map(
      (p) =>
        `${p.name}: distances ${byMethod(p.distanceMethod)}; checkpoints at ${p.checkpoints.map((c) => formatLength(c.atM, unit)).join(', ') || 'no place'}.`,
    ),
    `Estimates: lognormal model on intervals, one spread for the medians of all products of a kind on a path unless spreads plainly differ, each its own for what 9 of 10 walks hold to; intervals by ${INTERVAL_METHOD}.`,
    'How every figure is made, with sources and worked values: the page Methods of Urvek (docs/methods.md), paragraphs “Places”, “Bracket of a walk”, “Range of one product”, “Scale error”, “Ratio of two products”, “Claims”.',
  ];
}
