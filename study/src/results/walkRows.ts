import {
  byIdentity,
  scaleUOf,
  walkIntervals,
  type Criterion,
  type DistanceMethod,
  type Side,
  type WalkInterval,
  criterionFor,
  type WantedCriterion,
} from '@urvek/core';
import { speaking, type Finding } from './findings.ts';

/** Of the methods by which a bracket was come by, the one that carries the greatest scale error, and that error. */
function scaleOf(methods: readonly DistanceMethod[]): Pick<WalkInterval, 'method' | 'scaleU'> {
  const [worst] = [...methods].sort((a, b) => scaleUOf(b) - scaleUOf(a));
  if (worst === undefined) return {};
  const scaleU = scaleUOf(worst);
  return scaleU > 0 ? { method: worst, scaleU } : { method: worst };
}

/** What all walks of a path are off by together: the fixed end's place, and the operator's mean. */
function offsetOf(startOffsetUM: number | undefined, commonUM: number): Pick<WalkInterval, 'offsetUM'> {
  const offsetUM = Math.hypot(startOffsetUM ?? 0, commonUM);
  return offsetUM > 0 ? { offsetUM } : {};
}

type WalkRow = WalkInterval & { readonly criterion: Criterion; readonly finding: Finding };

/** Walks as intervals, with the unit walked, the pair that a walk belongs to, and how its distances were come by. */
export const walkRows = (findings: readonly Finding[], wanted: WantedCriterion, side?: Side): WalkRow[] =>
  speaking(findings).flatMap((f) => rowsOf(f, criterionFor(wanted, f.subject.product.kindId), side));

/** Criteria and directions by which a walk is asked for. */
const MOST_ASKED = 16;

const rowsOf = byIdentity((finding: Finding, criterion: Criterion, side: Side | undefined): WalkRow[] => {
  const { product } = finding.subject;
  const rig = product.rigs.find((r) => r.id === finding.header.rigId);
  const unit = product.units.find((u) => u.id === rig?.unitMobileId)?.label;
  const pair = finding.header.slot?.pair;
  const { outing } = finding;
  const { startOffsetUM } = finding.path;
  return walkIntervals([finding], criterion, side).map(
    ({ methods = finding.trace.methods, commonUM = 0, ...interval }) => ({
      ...interval,
      ...(unit === undefined ? {} : { unit }),
      ...(pair === undefined ? {} : { pair }),
      ...(outing === undefined ? {} : { outing }),
      ...scaleOf(methods),
      ...offsetOf(startOffsetUM, commonUM),
      criterion,
      finding,
    }),
  );
}, MOST_ASKED);
