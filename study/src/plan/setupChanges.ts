import type { Setup } from '@urvek/contract';
import * as phrases from './phrases.ts';

/** One value of a set-up that two versions of it have differently. Absent: that version does not have it. */
export interface SetupChange {
  /** Where it stands: keys, and of lists the id or name of what it is in, or its place. */
  readonly at: readonly (string | number)[];
  /** The same in words: "Ossimere Clip, rig 1, power". */
  readonly what: string;
  readonly before: unknown;
  readonly after: unknown;
}

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

const isObject = (value: unknown): value is Readonly<Record<string, Json>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What tells an entry of a list from the others: its id, else its name; undefined where entries have neither. */
function keyOf(entry: unknown): string | undefined {
  if (!isObject(entry)) return undefined;
  const key = entry['id'] ?? entry['name'];
  return typeof key === 'string' ? key : undefined;
}

/** A list whose entries are told apart by their keys. */
function keyed(list: readonly unknown[]): Map<string, unknown> | undefined {
  const map = new Map(list.map((entry) => [keyOf(entry) ?? '', entry]));
  return map.has('') || map.size !== list.length ? undefined : map;
}

/** "sensitivityDbm": "sensitivity, dBm". */
const UNITS: Readonly<Record<string, string>> = {
  Dbm: 'dBm',
  Db: 'dB',
  M: 'm',
  S: 's',
  Ms: 'ms',
  Deg: '°',
  MHz: 'MHz',
  Hz: phrases.hz,
  Mbps: 'Mbit/s',
};
/** As the screens call them, where their keys are shorter. */
const NAMES: Readonly<Record<string, string>> = {
  walksEach: phrases.walksOfEachProduct,
  ratio: phrases.smallestDifferenceThatMatters,
  sigma: 'walk-to-walk spread',
  mode: phrases.howWalksAreLogged,
  setUpMin: phrases.setUpOfARigMin,
  hoursAtHand: phrases.timeAvailableH,
  atFixedEnd: phrases.atTheFixedEnd,
  atMobileEnd: 'walking',
};
export function fieldWords(key: string): string {
  const called = NAMES[key];
  if (called !== undefined) return called;
  const [, stem = key, unit] = /^(.*[a-z])(Dbm|Db|Deg|MHz|Hz|Mbps|Ms|M|S)$/.exec(key) ?? [];
  const words = stem.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);
  const named = words.replace(/ id$/, '');
  return unit === undefined ? named : `${named}, ${UNITS[unit] ?? unit}`;
}

/** A list's or a part's own name where it has one, else its place. */
function nameOf(entry: unknown, place: string): string {
  if (!isObject(entry)) return place;
  const name = entry['name'] ?? entry['label'];
  return typeof name === 'string' && name !== '' ? name : place;
}

/** These lists need no word of their own: what stands in them has a name. */
const UNNAMED = new Set(['products', 'paths', 'rigs']);

/** A value in words, short. */
export function valueText(value: unknown): string {
  if (value === undefined) return phrases.notStated;
  if (typeof value !== 'object' || value === null) return String(value);
  if (Array.isArray(value)) return phrases.countedEntries(value.length);
  return nameOf(value, 'stated');
}

/** "Ossimere Clip, power, dBm: 10 → 13". */
export const changeText = ({ what, before, after }: SetupChange): string =>
  `${what}: ${valueText(before)} → ${valueText(after)}`;

/** All that differs between two set-ups, in the order in which it stands. */
export function setupChanges(before: Setup, after: Setup): SetupChange[] {
  return differences(before as unknown as Json, after as unknown as Json, [], []);
}

function differences(
  a: Json | undefined,
  b: Json | undefined,
  at: readonly (string | number)[],
  words: readonly string[],
): SetupChange[] {
  if (isObject(a) && isObject(b))
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
      differences(a[key], b[key], [...at, key], UNNAMED.has(key) ? words : [...words, fieldWords(key)]),
    );
  if (Array.isArray(a) && Array.isArray(b)) {
    const [own, other] = [keyed(a), keyed(b)];
    if (own && other)
      return [...new Set([...own.keys(), ...other.keys()])].flatMap((key) =>
        differences(
          own.get(key) as Json,
          other.get(key) as Json,
          [...at, key],
          [...words, nameOf(other.get(key) ?? own.get(key), key)],
        ),
      );
  }
  return same(a, b) ? [] : [{ at, what: words.join(', '), before: a, after: b }];
}

const same = (a: unknown, b: unknown): boolean =>
  JSON.stringify(sorted(stated(a))) === JSON.stringify(sorted(stated(b)));
/** A field that is left empty says nothing, as one that is not there. */
const stated = (value: unknown): unknown =>
  value === '' || (typeof value === 'number' && Number.isNaN(value)) ? undefined : value;
/** Keys in one order; what is undefined is absent. */
const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : isObject(value)
      ? Object.fromEntries(
          Object.keys(value)
            .toSorted()
            .flatMap((k) => (value[k] === undefined ? [] : [[k, sorted(value[k])]])),
        )
      : value;

/** What two people changed from the same set-up, where both changed the same thing to something else. */
export interface Clash {
  readonly what: string;
  readonly at: readonly (string | number)[];
  readonly before: unknown;
  readonly theirs: unknown;
  readonly ours: unknown;
}

/** Changes of both, and where they contradict each other. */
export interface Merge {
  /** The set-up with what only one side changed; where both did, theirs. */
  readonly setup: Setup;
  readonly clashes: readonly Clash[];
}

/** Brings two changes of one set-up together. A change of a thing and of a part of it contradict each other. */
export function mergeSetups(before: Setup, theirs: Setup, ours: Setup): Merge {
  const [other, own] = [setupChanges(before, theirs), setupChanges(before, ours)];
  const clashes: Clash[] = [];
  let setup = theirs;
  for (const change of own) {
    const against = other.find((o) => within(o.at, change.at) || within(change.at, o.at));
    if (!against) setup = withChange(setup, change.at, change.after);
    else if (!same(against.after, change.after))
      clashes.push({
        // The larger of the two is what is decided about.
        ...(against.at.length <= change.at.length
          ? { at: against.at, what: against.what }
          : { at: change.at, what: change.what }),
        before: valueAt(before, against.at.length <= change.at.length ? against.at : change.at),
        theirs: valueAt(theirs, against.at.length <= change.at.length ? against.at : change.at),
        ours: valueAt(ours, against.at.length <= change.at.length ? against.at : change.at),
      });
  }
  const seen = new Set<string>();
  return { setup, clashes: clashes.filter(({ at }) => !seen.has(at.join('/')) && seen.add(at.join('/'))) };
}

const within = (outer: readonly (string | number)[], inner: readonly (string | number)[]): boolean =>
  outer.every((key, i) => inner[i] === key);

/** What stands at a place; undefined where nothing does. */
export function valueAt(setup: Setup, at: readonly (string | number)[]): unknown {
  return at.reduce<unknown>(
    (value, key) =>
      Array.isArray(value)
        ? value.find((entry) => keyOf(entry) === key)
        : isObject(value)
          ? value[key]
          : undefined,
    setup,
  );
}

/** The set-up with another value at a place; undefined takes it out. */
export const withChange = (setup: Setup, at: readonly (string | number)[], value: unknown): Setup =>
  changed(setup, at, value) as Setup;

function changed(whole: unknown, [key, ...rest]: readonly (string | number)[], value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(whole)) {
    const place = whole.findIndex((entry) => keyOf(entry) === key);
    const next = changed(whole[place], rest, value);
    if (place === -1) return next === undefined ? whole : [...whole, next];
    return next === undefined ? whole.toSpliced(place, 1) : whole.with(place, next);
  }
  const object = isObject(whole) ? whole : {};
  const next = changed(object[key], rest, value);
  const { [key]: _gone, ...others } = object as Record<string | number, unknown>;
  return next === undefined ? others : { ...object, [key]: next };
}
