import { useState } from 'react';
import { MoveLoss } from './MoveLoss.tsx';
import { Act, Proposal } from './Proposal.tsx';
import type { Proposing, Stretch, TakenLoss } from './ProposedLosses.tsx';
import * as phrases from './phrases.ts';

const lasting = ({ fromS, toS }: Stretch): string =>
  toS - fromS < 1 ? phrases.forMs((1000 * (toS - fromS)).toFixed(0)) : phrases.forS((toS - fromS).toFixed(2));

/** A stretch that was found to be lost: looked at, moved, taken into the log, or refused. */
export function FoundLoss({
  found: d,
  walk,
  hereS,
  onLook,
  onMove,
  onTake,
  onRefuse,
}: {
  found: TakenLoss;
  walk: Stretch;
  hereS: Proposing['hereS'];
  onLook: () => void;
  onMove: (to: Stretch) => void;
  onTake: () => void;
  onRefuse: () => void;
}) {
  const [moving, setMoving] = useState(false);
  const at = d.fromS.toFixed(3);
  return (
    <Proposal
      {...{ at, onLook, onRefuse }}
      said={
        <>
          <span className="figure">{at} s</span>, {d.open ? phrases.toTheEnd : lasting(d)}: {d.kind},{' '}
          {d.figure}
        </>
      }
      below={
        moving && (
          <MoveLoss
            {...{ walk, hereS }}
            from={d}
            open={d.open}
            onMove={(to) => {
              onMove(to);
              setMoving(false);
            }}
          />
        )
      }
    >
      <Act label={phrases.moveS(at)} expanded={moving} onClick={() => setMoving(!moving)}>
        {phrases.move}
      </Act>
      <Act label={phrases.takeS(at)} onClick={onTake}>
        {phrases.take}
      </Act>
    </Proposal>
  );
}
