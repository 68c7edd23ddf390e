import { simulatedGearOf } from '@urvek/study';
import { Clock } from './Clock.tsx';
import { GearPanel } from './status.tsx';
import type { Live } from './useLive.ts';
import * as phrases from './phrases.ts';

/** Simulated gear as it plays, or the clock of a real walk and what to watch. */
export function LiveGear({ live: { gear, subject, kind, where, logNow } }: { live: Live }) {
  if (!gear.simulated)
    return (
      <Clock
        seconds={gear.clockS}
        hereM={where.hereM}
        watched={subject ? kind.watched : phrases.soundPictureOrAnswer}
      />
    );
  return (
    <GearPanel
      tick={gear.tick}
      watched={kind.watched}
      words={kind.words}
      simulatedGear={subject && simulatedGearOf(subject.product, subject.rig)}
      bothWays={kind.bothWays}
      onLevel={(value) =>
        logNow('measured', {
          quantity: 'level',
          direction: kind.direction,
          ...(value === undefined ? {} : { value }),
        })
      }
    />
  );
}
