import { readWords, type Saying } from '@urvek/core';
import type { Column } from './columns.ts';

/** A row that prose proposes, with the words that it comes from. */
export interface ProposedRow {
  /** Of the prose: signs from, up to. */
  readonly from: number;
  readonly to: number;
  readonly text: string;
  readonly cells: Readonly<Partial<Record<Column, string>>>;
}

export interface ProseContext {
  /** Names that the comparison has: they are recognised. */
  readonly products: readonly string[];
  readonly paths: readonly string[];
  /** Of what is written about, where it is one. */
  readonly kindId: string | undefined;
  readonly sayings: readonly Saying[];
}

const NUMBER = String.raw`\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:[.,]\d+)?`;
const UNIT = String.raw`m|met(?:re|er)s?|km|kilomet(?:re|er)s?|ft|foot|feet|yds?|yards?|mi|miles?|paces?|steps`;
const ABOUT = String.raw`about|around|roughly|some|over|beyond|more than|under|less than|at least|~`;
/** A length with its unit, or a span of them: it is a place wherever it stands. */
const LENGTH =
  String.raw`(?:(?:${ABOUT})\s*)?(?:between\s+)?(?:${NUMBER})(?:\s*(?:-|–|to|and)\s*(?:${NUMBER}))?` +
  String.raw`[\s-]*(?:${UNIT})(?![\p{L}\p{N}/])`;
/** A bare figure is one only where words say that one is there. */
const BARE =
  String.raw`(?<=\b(?:at|to|by|past|reached|until)\s+)(?:(?:${ABOUT})\s*)?(?:${NUMBER})` +
  String.raw`(?=\s*(?:$|[,;.)]|it\b|the\b|and\b|but\b|was\b|i\b))`;
const BEFORE_NAMES = 'at|by|near|past|behind|reached|before|after|round|beyond';
/** "at the gate", "by the third lamp post": a place that has a name. */
const NAMED = String.raw`(?<=\b(?:${BEFORE_NAMES})\s+)the\s+(?:\p{L}+\s+){0,2}(?:${[
  ...[
    'gate',
    'crossing',
    'corner',
    'hedge',
    'fence',
    'wall',
    'bridge',
    'shop',
    'door',
    'bench',
    'tree',
    'bend',
  ],
  ...[
    'hill',
    'house',
    'barn',
    'shed',
    'garage',
    'lamp post',
    'post',
    'sign',
    'car',
    'stairs',
    'junction',
    'pond',
  ],
  ...[
    'car park',
    'bus stop',
    'edge',
    'end',
    'church',
    'stile',
    'oak',
    'road',
    'track',
    'stream',
    'river',
    'school',
    'window',
    'kitchen',
    'roundabout',
    'van',
    'kerb',
    'line',
    'goal',
    'halfway line',
  ],
].join('|')})(?!\p{L})`;
const PLACE = new RegExp(`${LENGTH}|${BARE}|${NAMED}`, 'giu');

/** What happened, by how it is told. The first that fits counts. */
const TOLD: readonly (readonly [RegExp, string])[] = [
  [/\b(?:re-?paired|paired (?:it|them) again)\b/i, 're-paired'],
  [/\b(?:power[- ]cycled|restarted|rebooted|reset (?:it|them|the \w+))\b/i, 'reset'],
  [/\bturned (?:round|around|back)\b|\bheaded back\b/i, 'turn'],
  [/\b(?:moved|shifted) the (?:base|transmitter|receiver|fixed end|router)\b/i, 'fixed end moved'],
  [/\b(?:came|comes) (?:right )?back\b|\bback (?:on )?again\b|\bregained\b/i, 'back'],
  [/\bfirst (?:heard|contact|reached)\b/i, 'first reached'],
  [/\b(?:gave up|stopped there|called it a day|ended the walk|end of the walk)\b/i, 'end'],
];

const FIGURES: readonly (readonly [Column, RegExp])[] = [
  ['down_mbps', /(\d+(?:\.\d+)?)\s*(?:mbit\/s|mbps|megabits?)(?:\s*(?:per second|a second))?\s*down/i],
  ['up_mbps', /(\d+(?:\.\d+)?)\s*(?:mbit\/s|mbps|megabits?)(?:\s*(?:per second|a second))?\s*up/i],
  ['down_mbps', /\bdown(?:load)?\s*(?:was|of|:)?\s*(\d+(?:\.\d+)?)(?:\s*(?:mbit\/s|mbps|megabits?))/i],
  ['up_mbps', /\bup(?:load)?\s*(?:was|of|:)?\s*(\d+(?:\.\d+)?)(?:\s*(?:mbit\/s|mbps|megabits?))/i],
  ['level_dbm', /([-−–]\s?\d+(?:\.\d+)?)\s*dBm/i],
  ['rtt_ms', /\bping\s*(?:was|of|:)?\s*(\d+(?:\.\d+)?)\s*ms|(\d+(?:\.\d+)?)\s*ms ping/i],
];
const COUNTED = /\b(\d{1,3})\s*(?:out )?of\s*(\d{1,3})\b/i;
const TIME = /\b([01]?\d|2[0-3]):([0-5]\d)\b/;
const ORDINAL = ['first', 'second', 'third', 'fourth', 'fifth'];
const WALK = new RegExp(
  String.raw`\b(?:walk|run|attempt|pass)\s+(?:no\.?\s*|number\s*)?(\d{1,3})\b|` +
    String.raw`\b(${ORDINAL.join('|')}) (?:walk|run|attempt|pass)\b`,
  'i',
);
const HEARD: readonly (readonly [RegExp, string])[] = [
  [/\b(?:both ways|each other)\b/i, 'both'],
  [/\b(?:they|he|she|base|home) (?:could |can )?(?:still )?(?:hear|heard|hears|reads?) me\b/i, 'to-fixed'],
  [/\bi (?:could |can )?(?:still )?(?:hear|heard|read) (?:them|him|her|base|home)\b/i, 'to-mobile'],
];

interface Piece {
  readonly from: number;
  readonly to: number;
}

/** Sentences, by their ends and by lines. A full stop between digits, or after a short word, ends none. */
function sentencesOf(text: string): Piece[] {
  const ends = [...text.matchAll(/[.!?](?=\s+[\p{Lu}\d]|\s*$)|[;\n]+/gu)].map((m) => m.index + m[0].length);
  const cuts = [0, ...ends, text.length];
  return cuts.slice(1).map((to, i) => ({ from: cuts[i] as number, to }));
}

/** A sentence is cut where a second place begins to be told of: at the comma, "and", "but" or "then" before it. */
function cutAtPlaces(text: string, { from, to }: Piece): Piece[] {
  const sentence = text.slice(from, to);
  const breaks = [
    ...sentence.matchAll(/[,:(]\s*(?=\p{L}|\d)|\s+(?=(?:and|but|then|while|until|before)\s)/giu),
  ].map((m) => m.index + m[0].length);
  const parts = [0, ...breaks, sentence.length]
    .map((at, i, all) => ({ from: at, to: all[i + 1] ?? at }))
    .filter((p) => p.to > p.from);
  const pieces: { from: number; to: number; placed: boolean }[] = [];
  for (const part of parts) {
    const placed = hasPlace(sentence.slice(part.from, part.to), sentence.slice(0, part.from));
    const last = pieces.at(-1);
    if (last && !(last.placed && placed)) {
      last.to = part.to;
      last.placed ||= placed;
    } else pieces.push({ ...part, placed });
  }
  return pieces.map((p) => ({ from: from + p.from, to: from + p.to }));
}

/** What stands before it can make a figure a place. */
const hasPlace = (part: string, before: string): boolean =>
  [...`${before}${part}`.matchAll(PLACE)].some((m) => m.index >= before.length);

const trimmed = (text: string, { from, to }: Piece): Piece => {
  const piece = text.slice(from, to);
  const start = from + (/^[\s,;:.()]*(?:(?:and|but|then)\s+)?/i.exec(piece)?.[0].length ?? 0);
  const end = to - (/[\s,;:.()]*$/.exec(piece)?.[0].length ?? 0);
  return { from: start, to: Math.max(start, end) };
};

/**
 * Rows out of prose: each sentence, or the part of it that tells of one place, is a row if a place, a quality, a
 * reading or something that happened is found in it; what is not found is left empty, and what can be read two ways
 * is asked where rows are read. A row never says what its words do not, but for the product, path and walk that were
 * named before it.
 */
export function readProse(text: string, context: ProseContext): ProposedRow[] {
  let waiting: ProposedRow['cells'] = {};
  return sentencesOf(text)
    .flatMap((s) => cutAtPlaces(text, s))
    .map((p) => trimmed(text, p))
    .flatMap((piece): ProposedRow[] => {
      const said = text.slice(piece.from, piece.to);
      const about = aboutOf(said, context);
      const told = toldOf(said, text.slice(Math.max(0, piece.from - 20), piece.from), context);
      if (!told) {
        waiting = { ...waiting, ...about };
        return [];
      }
      const cells = { ...waiting, ...about, ...told };
      waiting = {};
      return [{ ...piece, text: said, cells }];
    });
}

/** What is written about. */
function aboutOf(said: string, { products, paths }: ProseContext): ProposedRow['cells'] {
  const walk = WALK.exec(said);
  return {
    ...named('product', products, said),
    ...named('path', paths, said),
    ...(walk ? { walk: walk[1] ?? String(ORDINAL.indexOf((walk[2] ?? '').toLowerCase()) + 1) } : {}),
  };
}

/** What happened, and where; undefined where nothing that can be logged is told. */
function toldOf(
  said: string,
  before: string,
  { kindId, sayings }: ProseContext,
): ProposedRow['cells'] | undefined {
  const place = [...`${before}${said}`.matchAll(PLACE)].find((m) => m.index >= before.length)?.[0];
  const event = TOLD.find(([pattern]) => pattern.test(said))?.[1];
  const figures = FIGURES.flatMap(([column, pattern]) => {
    const found = pattern.exec(said);
    const figure = found?.[1] ?? found?.[2];
    return figure === undefined ? [] : [[column, figure.replace(/^[−–-]\s*/, '-')] as const];
  });
  const counted = COUNTED.exec(said);
  const quality = readWords(place ? said.replace(place, ' ') : said, kindId, sayings);
  if (!(place ?? event ?? quality ?? counted ?? figures[0])) return undefined;
  const direction = HEARD.find(([pattern]) => pattern.test(said))?.[1];
  const time = TIME.exec(said)?.[0];
  return {
    ...(time === undefined ? {} : { time }),
    ...(direction === undefined ? {} : { direction }),
    ...whereOf(place, event !== undefined),
    ...(event === undefined ? {} : { event }),
    ...(counted ? { hits: counted[1], tries: counted[2] } : {}),
    ...Object.fromEntries(figures),
    // All that was said stays beside what was made of it: as words where they may tell how it was.
    ...(quality || !(event ?? counted ?? figures[0]) ? { words: said } : { remark: said }),
  };
}

function whereOf(place: string | undefined, happened: boolean): ProposedRow['cells'] {
  if (place === undefined) return happened ? {} : { at: '?' };
  return /^the\s/i.test(place)
    ? { point: place.replace(/^the\s+/i, '') }
    : { at: place.replace(/[\s-]+(?=\p{L}+$)/u, ' ') };
}

/** A name that the comparison has, the longest that is in it. */
function named(
  column: 'product' | 'path',
  names: readonly string[],
  said: string,
): Partial<Record<Column, string>> {
  const [found] = names
    .filter((n) => n.trim() !== '' && said.toLowerCase().includes(n.toLowerCase()))
    .sort((a, b) => b.length - a.length);
  return found === undefined ? {} : { [column]: found };
}
