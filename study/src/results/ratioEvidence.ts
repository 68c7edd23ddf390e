import {
  boundsOf,
  constantRatioBounds,
  endsLastStretch,
  LEAST_GOOD_GRADE,
  outcomeOf,
  pairAtStands,
  type AgainstWay,
  type Bracket,
  type Criterion,
  type HeardWalk,
  type OutwardCriterion,
  type RatioEvidence,
  type Side,
  type WalkInterval,
} from '@urvek/core';
import type { Finding } from './findings.ts';
import type { Subject } from './subjects.ts';
import { walkRows } from './walkRows.ts';

interface Walked {
  readonly findings: readonly Finding[];
  readonly criterion: Criterion;
  readonly side: Side | undefined;
}

/** Two that were walked on one path, with what their walks say beside the model. */
export interface SubjectPair {
  readonly subject: string;
  readonly against: string;
  readonly evidence: RatioEvidence;
}

/** Each later one against each earlier one, in the order of the kit. */
export const pairsOf = ({
  subjects,
  ...walked
}: Walked & { readonly subjects: readonly Subject[] }): SubjectPair[] =>
  subjects.flatMap((against, i) =>
    subjects.slice(i + 1).flatMap((subject) => {
      const evidence = ratioEvidence(walked, subject, against);
      return evidence ? [{ subject: subject.name, against: against.name, evidence }] : [];
    }),
  );

/** What walks of two subjects say beside the model; undefined where one has none here. */
export function ratioEvidence(
  range: Walked | undefined,
  subject: Subject | undefined,
  against: Subject | undefined,
): RatioEvidence | undefined {
  if (!range || !subject || !against) return undefined;
  const [own, other] = [subject, against].map((s) => range.findings.filter((f) => f.subject.id === s.id));
  const [a, b] = [own, other].map((list) => walkRows(list ?? [], range.criterion, range.side));
  const noted = notedOf(own ?? [], subject, other ?? [], against);
  const metres = (a?.length ?? 0) > 0 && (b?.length ?? 0) > 0;
  if (!own || !other || !a || !b || (!metres && noted.size === 0)) return undefined;
  return {
    atStands: pairAtStands(
      heard(own, range.criterion, range.side),
      heard(other, range.criterion, range.side),
      noted,
    ),
    sameOnEveryWalk: constantRatioBounds([
      ...madeTogether(b, a),
      ...[...noted.values()].flatMap(notedBounds),
    ]),
    product: bracketOf(a),
    against: bracketOf(b),
  };
}

/** Whether a statement is of a subject. */
const isOf = (
  { productId, rigId }: Finding['trace']['against'][number],
  { product, rigs }: Subject,
): boolean => productId === product.id && (rigId === undefined || rigs.some((r) => r.id === rigId));

const SIGN: Readonly<Record<AgainstWay, number>> = {
  'held where the other failed': 1,
  'failed where the other held': -1,
  'ended together': 0,
};

/**
 * What was noted of two, by outing: 1 the first was the farther, −1 the other, 0 where neither was, or where
 * the notes contradict each other.
 */
function notedOf(
  own: readonly Finding[],
  subject: Subject,
  other: readonly Finding[],
  against: Subject,
): Map<string, number> {
  const said = (findings: readonly Finding[], of: Subject, sign: 1 | -1): [string, number][] =>
    findings.flatMap((f) =>
      f.trace.against
        .filter((s) => isOf(s, of))
        .map(({ how }): [string, number] => [f.outing ?? f.walkId, sign * SIGN[how] + 0]),
    );
  const noted = new Map<string, number>();
  for (const [outing, sign] of [...said(own, against, 1), ...said(other, subject, -1)]) {
    const known = noted.get(outing);
    noted.set(outing, known === undefined || known === sign ? sign : 0);
  }
  return noted;
}

/** A note bounds a ratio that is the same on every walk by one, on one side. */
const notedBounds = (sign: number): { a: Bracket; b: Bracket }[] => {
  const [farther, nearer] = [
    { heldM: 1, failedM: undefined },
    { heldM: 0, failedM: 1 },
  ];
  return sign === 0 ? [] : sign > 0 ? [{ a: nearer, b: farther }] : [{ a: farther, b: nearer }];
};

/** Walks side by side, or the n-th of each on one outing. */
function madeTogether(
  against: readonly WalkInterval[],
  own: readonly WalkInterval[],
): { a: Bracket; b: Bracket }[] {
  const others = byOccasion(against);
  return [...byOccasion(own)].flatMap(([occasion, b]) => {
    const a = others.get(occasion);
    return a ? [{ a, b }] : [];
  });
}

/** Walks by what they can share with those of another; the rest are left out. */
function byOccasion(walks: readonly WalkInterval[]): Map<string, WalkInterval> {
  const counts = new Map<string, number>();
  const known = new Map<string, WalkInterval>();
  for (const w of walks) {
    const shared = w.pair ?? w.outing;
    if (shared === undefined) continue;
    const n = counts.get(shared) ?? 0;
    counts.set(shared, n + 1);
    known.set(`${shared}/${n}`, w);
  }
  return known;
}

/** Between the last place to which all held and the first at which all had failed. */
function bracketOf(walks: readonly WalkInterval[]): Bracket {
  if (walks.length === 0) return { heldM: 0, failedM: undefined };
  const { common, allHeldToM, allFailedByM } = boundsOf(walks);
  return common ?? { heldM: allHeldToM, failedM: allFailedByM };
}

/** What each walk found at its stands on the way out, by a criterion. */
function heard(findings: readonly Finding[], criterion: Criterion, side: Side | undefined): HeardWalk[] {
  const least = LEAST_GOOD_GRADE[criterion as OutwardCriterion] as number | undefined;
  if (least === undefined) return [];
  const atEnd = endsLastStretch(criterion as OutwardCriterion);
  return findings.flatMap((f): HeardWalk[] => {
    const { outing } = f;
    if (outing === undefined || !outcomeOf(f, criterion, side).interval) return [];
    // What is judged both ways is heard both ways: a stand holds where each direction does.
    const stands = f.directions
      .filter((d) => side === undefined || side === 'both ways' || d.direction === side)
      .flatMap((d) =>
        d.trace.looks.flatMap((l) =>
          l.stand && l.place && !l.returning
            ? [{ atM: l.place.travelledM, held: (atEnd ? l.best : l.worst) >= least }]
            : [],
        ),
      );
    return stands.length > 0 ? [{ outing, stands }] : [];
  });
}
