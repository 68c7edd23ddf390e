import { byIdentity, deriveWalk, nameWalk, type DerivedWalk, type WalkFinding } from '@urvek/core';
import type { Product, Setup, WalkHeader, StoredWalk } from '@urvek/contract';
import { rigKey, subjectByRig, subjectsOf, type Subject } from './subjects.ts';
import * as phrases from './phrases.ts';

export type SetupPath = Setup['paths'][number];

/** A finding together with the header it came from; its product is the name of its subject. */
export interface Finding extends WalkFinding {
  readonly header: WalkHeader;
  readonly subject: Subject;
  /**
   * Walks from setting a rig up to taking it down, as somebody said who was there, or by their times; undefined where
   * nobody says, and there is no time.
   */
  readonly outing: string | undefined;
  /** Why it is in no result; undefined where it counts. */
  readonly leftOut: string | undefined;
}

/** A walk with what was derived from its log; undefined: its log has no beginning yet. */
export interface DerivedEntry {
  readonly header: WalkHeader;
  readonly derived: DerivedWalk | undefined;
  /** It was made, and its log is not for this device to read. */
  readonly withheld?: true;
}

/** Works a walk out on the path of a set-up; undefined when its path is no longer there. */
export const deriveEntry = (setup: Setup, { header, log }: StoredWalk): DerivedEntry => {
  const path = setup.paths.find((p) => p.id === header.pathId);
  return { header, derived: path && deriveWalk(log, path) };
};

/** A walk that begins this long after the one before is of another outing: a night lies between (common practice). */
const NIGHT_MS = 8 * 3_600_000;

/**
 * Outings by the times of their walks, as they are named one after the other. Not by date: an evening goes on past
 * midnight, and whose midnight that is nobody knows.
 */
function outingsByTime(): (header: WalkHeader) => string | undefined {
  let [day, lastMs] = [0, -Infinity];
  return ({ undated, startedMs }) => {
    if (undated || Number.isNaN(new Date(startedMs).getTime())) return undefined;
    if (startedMs - lastMs > NIGHT_MS) day++;
    lastMs = startedMs;
    return phrases.day(day);
  };
}

/** Made anew only if something of it changed, so that what rests on it need not be worked out again. */
const named = byIdentity(
  (
    derived: DerivedWalk,
    header: WalkHeader,
    subject: Subject,
    path: SetupPath,
    label: string,
    outing: string | undefined,
    leftOut: string | undefined,
  ): Finding =>
    nameWalk(derived, {
      outing,
      walkId: header.id,
      label,
      product: subject.name,
      path,
      header,
      subject,
      leftOut,
    }),
);

/**
 * Walks in order of their start, numbered within subject and path; those of a product or path since removed
 * are left out. Walks with swapped ends answer another question, and make no subject.
 */
export function nameFindings(setup: Setup, entries: readonly DerivedEntry[]): Finding[] {
  const counts = new Map<string, number>();
  const subjects = subjectsOf(
    setup,
    new Set(entries.map(({ header }) => rigKey(header.productId, header.rigId))),
  );
  const byRig = subjectByRig(subjects);
  const first = new Map(subjects.toReversed().map((s) => [s.product.id, s]));
  const paths = new Map(setup.paths.map((p) => [p.id, p]));
  const byTime = outingsByTime();
  const rehearsal = rehearsals(entries);
  return [...entries]
    .sort((a, b) => a.header.startedMs - b.header.startedMs)
    .flatMap(({ header, derived }) => {
      const subject = byRig.get(rigKey(header.productId, header.rigId)) ?? first.get(header.productId);
      const path = paths.get(header.pathId);
      const day = byTime(header);
      if (!subject || !path) return [];
      const key = `${subject.id}/${path.id}`;
      const count = (counts.get(key) ?? 0) + 1;
      counts.set(key, count);
      if (!derived) return [];
      const { trace } = derived.directions[derived.main] as DerivedWalk['directions'][number];
      const outing = trace.outing ?? (header.outing || day);
      const leftOut = trace.leftOut ?? rehearsal(trace);
      return [named(derived, header, subject, path, String(count), outing, leftOut)];
    });
}

type Trace = Finding['trace'];
const isSimulated = ({ begin }: Trace): boolean => begin.body.simulatedSeed !== undefined;

/** Once a real walk is finished, those with simulated gear are rehearsals: they never mix with what is real. */
function rehearsals(entries: readonly DerivedEntry[]): (trace: Trace) => string | undefined {
  const real = entries.some(({ derived }) => {
    const trace = derived?.directions[derived.main]?.trace;
    return trace?.endReason !== undefined && trace.leftOut === undefined && !isSimulated(trace);
  });
  return (trace) => (real && isSimulated(trace) ? phrases.simulatedGearBesideRealWalks : undefined);
}

/** Those that count, from the logs themselves. */
export const findWalks = (setup: Setup, walks: readonly StoredWalk[]): Finding[] =>
  counted(
    nameFindings(
      setup,
      walks.map((walk) => deriveEntry(setup, walk)),
    ),
  );

/** Walks that count: those that somebody left out, and rehearsals, are in no result. */
export const counted = (findings: readonly Finding[]): Finding[] =>
  findings.filter((f) => f.leftOut === undefined);

/** Walks that speak for a product as it is used: those with swapped ends answer another question. */
export const speaking = (findings: readonly Finding[]): Finding[] =>
  findings.filter((f) => f.header.slot?.variant !== 'ends swapped');

export const productOf = (setup: Setup, { header }: Pick<Finding, 'header'>): Product | undefined =>
  setup.products.find((p) => p.id === header.productId);

/** Units that took part in walks of a product. */
export function unitsWalked(product: Product, findings: readonly Pick<Finding, 'header'>[]): number {
  const rigs = new Set(findings.filter((f) => f.header.productId === product.id).map((f) => f.header.rigId));
  return new Set(product.rigs.filter((r) => rigs.has(r.id)).map((r) => r.unitMobileId)).size;
}
