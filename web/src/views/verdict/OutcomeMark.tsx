import type { NeedOutcome, VerdictOutcome } from '@urvek/core';

const SOLID = { shape: 'M3 3H21V21H3Z', className: 'fill-clear stroke-clear' };
const CROSS = { shape: 'M4 4L20 20M20 4L4 20', className: 'fill-none stroke-lost' };
const BOTH_WAYS = {
  shape: 'M3 12H21M8 7L3 12L8 17M16 7L21 12L16 17',
  className: 'fill-none stroke-degraded',
};
/** A place on the way: no judgement. */
const POST = { shape: 'M2 20H22M12 20V4', className: 'fill-none stroke-ink' };
const HOLLOW = { shape: 'M3 3H21V21H3Z', className: 'fill-none stroke-faint' };

const MARK: Readonly<Record<VerdictOutcome | NeedOutcome, typeof SOLID>> = {
  supported: SOLID,
  meets: SOLID,
  refuted: CROSS,
  fails: CROSS,
  undecided: BOTH_WAYS,
  marginal: BOTH_WAYS,
  'not tested': HOLLOW,
  unknown: HOLLOW,
  distance: POST,
};

/** The outcome by shape as well as colour. */
export const OutcomeMark = ({ outcome }: { outcome: VerdictOutcome | NeedOutcome }) => (
  <span className="inline-flex items-center gap-2 font-head font-bold whitespace-nowrap">
    <svg
      aria-hidden
      viewBox="0 0 24 24"
      width="20"
      height="20"
      className={`${MARK[outcome].className} stroke-[3]`}
    >
      <path d={MARK[outcome].shape} />
    </svg>
    {outcome}
  </span>
);
