import { type Detected, type DropoutKind } from '@urvek/core';
import { useState, type ReactNode } from 'react';
import { FoundLoss } from './FoundLoss.tsx';
import * as phrases from './phrases.ts';

/** What is lost, on the recording's clock. */
export type Stretch = Pick<Detected, 'fromS' | 'toS'>;

/** A loss as it is taken: as it was found, or moved by a person. */
export type TakenLoss = Detected<DropoutKind> & { readonly byHand?: true };

export interface Proposing {
  /** The walk on the recording: what is lost before it begins or after its end is none of it. */
  readonly fromS: number;
  readonly toS: number;
  readonly onLook: (atS: number) => void;
  /** Where the recording stands, where there is a player. */
  readonly hereS?: () => number;
  /** Logged as found by an instrument. @throws never: trouble is shown where the log is */
  readonly onAccept: (found: readonly TakenLoss[]) => void;
  /** Lost stretches that the log has already: they are not proposed again. */
  readonly known?: readonly Stretch[];
}

const NONE: readonly Stretch[] = [];

/** Lost stretches proposed for the log: each is taken, looked at, or refused; all at once, too. */
export function ProposedLosses({
  found,
  children,
  fromS,
  toS,
  onLook,
  hereS,
  onAccept,
  known = NONE,
  said = phrases.lostToDecide,
}: Proposing & {
  found: readonly Detected<DropoutKind>[];
  /** How many there are, and how many are to be decided, in words that say no more than is known. */
  said?: (stretches: number, open: number) => string;
  /** How it was looked for. */
  children?: ReactNode;
}) {
  const [done, setDone] = useState<ReadonlySet<Detected>>(new Set());
  const within = found.filter((d) => d.toS > fromS && d.fromS < toS);
  const own = within.filter((d) => !known.some((k) => k.fromS < d.toS && k.toS > d.fromS));
  const open = own.filter((d) => !done.has(d));
  const settle = (list: readonly Detected[]): void => setDone(new Set([...done, ...list]));
  const accept = (list: readonly Detected<DropoutKind>[]): void => {
    onAccept(list);
    settle(list);
  };
  return (
    <div role="status" className="mt-2" data-losses={own.length}>
      <p>
        {own.length === 0 ? phrases.nothingWasLostAsFarAs : said(own.length, open.length)}
        {within.length < found.length && phrases.outsideTheWalkAreLeftOut(found.length - within.length)}
        {own.length < within.length && phrases.areInTheLogAlready(within.length - own.length)}
      </p>
      {children}
      {open.length > 1 && (
        <p className="my-1 flex gap-2">
          <button type="button" className="btn" onClick={() => accept(open)}>
            {phrases.takeAllIntoTheLog(open.length)}
          </button>
          <button type="button" className="btn btn-quiet" onClick={() => settle(open)}>
            {phrases.refuseAll}
          </button>
        </p>
      )}
      <ul
        className="max-h-72 overflow-y-auto"
        tabIndex={open.length > 4 ? 0 : undefined}
        aria-label={phrases.lostStretches}
      >
        {open.map((d) => (
          <FoundLoss
            key={`${d.kind}${d.fromS}`}
            found={d}
            {...{ hereS, onLook }}
            onTake={(as) => {
              onAccept([as]);
              settle([d]);
            }}
            onRefuse={() => settle([d])}
          />
        ))}
      </ul>
    </div>
  );
}
