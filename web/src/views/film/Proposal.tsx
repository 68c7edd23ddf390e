import type { ReactNode } from 'react';
import * as phrases from './phrases.ts';

/** One thing to do with what is proposed. */
export const Act = ({
  label,
  onClick,
  quiet,
  expanded,
  children,
}: {
  /** What it is done to, too. */
  label: string;
  onClick: () => void;
  quiet?: true;
  expanded?: boolean;
  children: string;
}) => (
  <button
    type="button"
    className={quiet ? 'btn btn-quiet' : 'btn'}
    aria-label={label}
    aria-expanded={expanded}
    onClick={onClick}
  >
    {children}
  </button>
);

/** A row of what was found: looked at or refused, and what else is done with it between the two. */
export const Proposal = ({
  at,
  said,
  before,
  children,
  below,
  onLook,
  onRefuse,
}: {
  /** When it begins, in words. */
  at: string;
  said: ReactNode;
  /** What is chosen of it. */
  before?: ReactNode;
  /** What is done with it. */
  children: ReactNode;
  below?: ReactNode;
  onLook: () => void;
  onRefuse: () => void;
}) => (
  <li className="border-t border-rule py-1">
    <div className="flex flex-wrap items-center gap-2">
      <span className="min-w-60 flex-1">{said}</span>
      {before}
      <Act label={phrases.lookAtS(at)} onClick={onLook}>
        {phrases.look}
      </Act>
      {children}
      <Act quiet label={phrases.refuseS(at)} onClick={onRefuse}>
        {phrases.refuse}
      </Act>
    </div>
    {below}
  </li>
);
