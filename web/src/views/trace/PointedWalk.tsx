import { joinLogs, type WalkEvent } from '@urvek/core';
import { travelledGround, walkLanes } from '@urvek/draw';
import type { Finding, WalkRow } from '@urvek/study';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Tape } from '../../components/Tape.tsx';
import { Views } from '../../components/Views.tsx';
import { Anew } from './Anew.tsx';
import { Beside } from './Beside.tsx';
import { Lag } from './Lag.tsx';
import { LeaveOut } from './LeaveOut.tsx';
import { Legend } from './Legend.tsx';
import { Log } from './Log.tsx';
import { Outcomes } from './Outcomes.tsx';
import { Outing } from './Outing.tsx';
import { Received } from './Received.tsx';
import { TimeLine } from './TimeLine.tsx';
import { Truth } from './Truth.tsx';
import { usePointer } from './usePointer.ts';
import * as phrases from './phrases.ts';

/** One walk: tape, time and log follow one pointer; what it says, and what can be done with it, beside the log. */
export function PointedWalk({
  workspace: {
    comparison: { setup },
  },
  finding,
  whole,
  walks,
}: {
  workspace: Ready;
  finding: Finding;
  whole: readonly WalkEvent[];
  walks: readonly WalkRow[];
}) {
  const { log, joined } = joinLogs(whole);
  const pointer = usePointer(finding, log);
  // A log from a recording has its clock already; simulated gear has none that a recording could have.
  const recordable =
    finding.trace.begin.body.simulatedSeed === undefined && !log.some((e) => e.kind === 'recording');
  return (
    <>
      <section className="sheet px-3 py-2" aria-label={phrases.theWalkOnTheTape}>
        <Tape
          title={phrases.walkOfOnTheTape(finding.label, finding.product)}
          ground={travelledGround(finding.path)}
          measure="travelled"
          lanes={walkLanes(finding.trace, 'out', 'walk')}
          onHover={pointer.hoverAtM}
          onPress={pointer.selectAtM}
          {...(pointer.atM === undefined ? {} : { hereM: pointer.atM })}
        />
        <Legend />
        <TimeLine finding={finding} log={log} pointer={pointer} />
      </section>
      <div className="grid items-start gap-4 xl:grid-cols-[1.1fr_1fr]">
        <section className="sheet px-3 pb-3" aria-label={phrases.whatTheWalkSays}>
          <Views
            views={[
              {
                id: 'outcomes',
                name: phrases.outcomes,
                draw: () => (
                  <>
                    <Outcomes finding={finding} joined={joined} />
                    <details className="mt-2 border-t border-rule pt-2">
                      <summary className="cursor-pointer font-bold">{phrases.lagOfWhatWasPressed}</summary>
                      <Lag finding={finding} log={log} />
                      <Truth setup={setup} finding={finding} log={log} />
                    </details>
                  </>
                ),
              },
              ...(recordable
                ? [
                    {
                      id: 'received',
                      name: phrases.recording,
                      draw: () => <Received finding={finding} onLook={pointer.hoverAtS} />,
                    },
                  ]
                : []),
              {
                id: 'filing',
                name: phrases.outingAndFiling,
                draw: () => (
                  <div className="grid gap-3">
                    <Outing finding={finding} walks={walks} />
                    <LeaveOut finding={finding} />
                    <Anew setup={setup} finding={finding} log={whole} walks={walks} />
                    <Beside setup={setup} finding={finding} />
                  </div>
                ),
              },
            ]}
          />
        </section>
        <Log finding={finding} log={log} pointer={pointer} />
      </div>
    </>
  );
}
