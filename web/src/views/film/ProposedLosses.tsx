import type { Detected, DropoutKind, Stretch as NoticedStretch } from '@urvek/core';
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
  /** What the log has already: it is not proposed again. */
  readonly noticed?: readonly Noticed[];
}

/** What was noticed on the walk, on the recording's clock. */
export type Noticed = Stretch & Pick<NoticedStretch, 'grade' | 'stated'>;
export const NOTHING: readonly Noticed[] = [];
export const overlap = (a: Stretch, b: Stretch): boolean => a.fromS < b.toS && a.toS > b.fromS;

/** Lost stretches proposed for the log: each is looked at, moved, taken or refused; all at once, too. */
export function ProposedLosses({
  found,
  children,
  fromS,
  toS,
  onLook,
  hereS,
  onAccept,
  noticed = NOTHING,
  said = phrases.lostToDecide,
}: Proposing & {
  found: readonly Detected<DropoutKind>[];
  /** How many there are, and how many are to be decided, in words that say no more than is known. */
  said?: (stretches: number, open: number) => string;
  /** How it was looked for. */
  children?: ReactNode;
}) {
  const [done, setDone] = useState<ReadonlySet<Detected>>(new Set());
  const [moved, setMoved] = useState<ReadonlyMap<Detected, Stretch>>(new Map());
  const walk = { fromS, toS };
  const lost = noticed.filter((s) => s.grade === 1);
  const within = found.filter((d) => overlap(d, walk));
  const own = within.filter((d) => !lost.some((k) => overlap(k, d)));
  const open = own.filter((d) => !done.has(d));
  const settle = (list: readonly Detected[]): void => setDone(new Set([...done, ...list]));
  const asMoved = (d: Detected<DropoutKind>): TakenLoss => {
    const to = moved.get(d);
    return to ? { ...d, ...to, byHand: true, figure: phrases.movedByHand(d.figure) } : d;
  };
  const accept = (list: readonly Detected<DropoutKind>[]): void => {
    onAccept(list.map(asMoved));
    settle(list);
  };
  return (
    <div role="status" className="mt-2" data-losses={own.length}>
      <p>
        {within.length === 0 && phrases.nothingWasLostAsFarAs}
        {own.length > 0 && said(own.length, open.length)}
        {within.length < found.length && phrases.outsideTheWalkLeftOut(found.length - within.length)}
        {own.length < within.length && phrases.inTheLogAlready(within.length - own.length)}
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
        className="max-h-[50vh] overflow-y-auto"
        tabIndex={open.length > 4 ? 0 : undefined}
        aria-label={phrases.lostStretches}
      >
        {open.map((d) => (
          <FoundLoss
            key={`${d.kind}${d.fromS}`}
            found={asMoved(d)}
            {...{ walk, hereS }}
            onLook={() => onLook(asMoved(d).fromS)}
            onMove={(to) => setMoved(new Map([...moved, [d, to]]))}
            onTake={() => accept([d])}
            onRefuse={() => settle([d])}
          />
        ))}
      </ul>
    </div>
  );
}
