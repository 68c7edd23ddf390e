import type { Interchange, Withheld } from '@urvek/contract';
import { effectiveLog, hopsOf, type WalkEvent } from '@urvek/core';
import { everySaying } from './everySaying.ts';
import { withoutGraders } from './withoutGraders.ts';
import * as phrases from './phrases.ts';

export const LEFT_OUT = phrases.leftOut;

/** One thing that does not go out, for the preview. */
export interface Withholding {
  readonly what: string;
  readonly count: number;
}

const escaped = (word: string): string => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** What names a thing for the machine stays, or nothing would find it again. */
const IS_ID = /^(id|key|kind|form|.*Ids?)$/;

/** Replaces words wherever they stand in a text for people, whatever their case. */
export function withoutWords<T>(value: T, words: readonly string[]): { value: T; count: number } {
  if (words.length === 0) return { value, count: 0 };
  const pattern = new RegExp(words.map(escaped).join('|'), 'gi');
  let count = 0;
  const walk = (v: unknown): unknown => {
    if (typeof v === 'string') {
      return v.replace(pattern, () => {
        count++;
        return LEFT_OUT;
      });
    }
    if (Array.isArray(v)) return v.map(walk);
    return typeof v === 'object' && v !== null
      ? Object.fromEntries(Object.entries(v).map(([k, inner]) => [k, IS_ID.test(k) ? inner : walk(inner)]))
      : v;
  };
  return { value: walk(value) as T, count };
}

/**
 * A comparison without what is to stay private, and what was left out. Ids and figures stay, so that
 * findings are the same; device locations go with the coordinates, for they are coordinates.
 */
export function withhold(
  file: Interchange,
  { coordinates, names, notes, words }: Withheld,
): { file: Interchange; left: Withholding[] } {
  const left: Withholding[] = [];
  const note = (what: string, count: number): void => void (count > 0 && left.push({ what, count }));
  let { setup, walks } = file;
  const hidden = (pathId: string): boolean =>
    coordinates || setup.paths.find((p) => p.id === pathId)?.keepPrivate === true;
  note(phrases.coordinatesOfFixedEnds, setup.paths.filter((p) => p.fixedEnd && hidden(p.id)).length);
  note(
    phrases.deviceLocations,
    walks
      .filter((w) => hidden(w.header.pathId))
      .reduce((sum, w) => sum + w.log.filter((e) => e.kind === 'fix').length, 0),
  );
  walks = walks.map((w) =>
    hidden(w.header.pathId) ? { ...w, log: w.log.filter((e) => e.kind !== 'fix') } : w,
  );
  const nameless = (p: (typeof setup.paths)[number]): boolean => names || p.keepPrivate === true;
  note(phrases.namesOfPlaces, setup.paths.filter(nameless).length);
  setup = {
    ...setup,
    paths: setup.paths.map((p, i) => ({
      ...p,
      ...(hidden(p.id) ? { fixedEnd: undefined } : {}),
      ...(nameless(p) ? { name: phrases.path(i + 1), permission: '' } : {}),
    })),
  };
  if (names) {
    const { atFixedEnd, atMobileEnd } = setup.plan;
    const logs = walks.map((w) => w.log);
    // Those who stand first, so that they have the numbers that a page shows; then whoever was named before.
    const graders = withoutGraders([...logs.map(effectiveLog), ...logs].flatMap((log) => log.map(graderOf)));
    note(phrases.namesOfPeople, [atFixedEnd, atMobileEnd].filter((n) => n !== '').length + graders.count);
    setup = { ...setup, plan: { ...setup.plan, atFixedEnd: '', atMobileEnd: '' } };
    note(
      phrases.authorsOfCorrections,
      walks.reduce(
        (sum, w) => sum + w.log.filter((e) => e.kind === 'correction' && e.body.author !== undefined).length,
        0,
      ),
    );
    walks = walks.map((w) => ({
      ...w,
      log: w.log.map((e) =>
        everySaying(e.kind === 'correction' ? { ...e, body: { ...e.body, author: undefined } } : e, (said) =>
          said.kind === 'begin' && said.body.conditions
            ? { ...said, body: { ...said.body, conditions: graders.of(said.body.conditions) } }
            : said,
        ),
      ),
    }));
    const unnamed = withoutOwnNames(setup, walks);
    note(phrases.namesOfOutingsAndHops, unnamed.count);
    ({ setup, walks } = unnamed);
  }
  if (notes) {
    note(
      'notes',
      walks.reduce((sum, w) => sum + w.log.filter((e) => e.kind === 'note').length, 0),
    );
    walks = walks.map((w) => ({
      ...w,
      log: w.log.map((e) =>
        everySaying(e, (said) => (said.kind === 'note' ? { ...said, body: { text: LEFT_OUT } } : said)),
      ),
    }));
  }
  const { comparison, rest, count } = replaced(
    {
      comparison: file.comparison,
      rest: {
        setup: {
          ...setup,
          ...(setup.report
            ? { report: { ...setup.report, withheld: { ...setup.report.withheld, words: [] } } }
            : {}),
        },
        walks,
      },
    },
    words,
  );
  note(phrases.wordsReplaced, count);
  return { file: { ...file, comparison, ...rest }, left };
}

/** Who graded, as an event says it, or a correction of one. */
const graderOf = (e: WalkEvent): string | undefined =>
  (e.kind === 'begin' ? e.body : e.kind === 'correction' ? e.body.begun : undefined)?.conditions?.gradedBy;

/** Outings and hops are called as one likes: numbers in their stead, so that what belonged together still does. */
function withoutOwnNames(
  setup: Interchange['setup'],
  walks: Interchange['walks'],
): Pick<Interchange, 'setup' | 'walks'> & { count: number } {
  const numbers = new Map<string, string>();
  const numbered = (what: string, name: string): string => {
    const key = `${what}/${name}`;
    const known = numbers.get(key) ?? `${what} ${numbers.size + 1}`;
    numbers.set(key, known);
    return known;
  };
  return {
    setup: {
      ...setup,
      products: setup.products.map((p) => ({
        ...p,
        rigs: p.rigs.map((r) =>
          hopsOf(r).length === 0
            ? r
            : {
                ...r,
                hops: hopsOf(r)
                  .map((h) => numbered('hop', h))
                  .join(', '),
              },
        ),
      })),
    },
    walks: walks.map(({ header, log }) => ({
      header: header.outing ? { ...header, outing: numbered('outing', header.outing) } : header,
      log: log.map((e) =>
        everySaying(e, (said) =>
          said.kind === 'dropoutBegin' && said.body.hop !== undefined
            ? { ...said, body: { ...said.body, hop: numbered('hop', said.body.hop) } }
            : said.kind === 'outing'
              ? { ...said, body: { name: numbered('outing', said.body.name) } }
              : said,
        ),
      ),
    })),
    count: numbers.size,
  };
}

function replaced<T extends object>(value: T, words: readonly string[]): T & { count: number } {
  const { value: changed, count } = withoutWords(value, words);
  return { ...changed, count };
}
