import { hopsOf, type EventBodies } from '@urvek/core';
import type { Actions } from './controlsParts.tsx';
import { EndBar } from './EndBar.tsx';
import { Hops } from './Hops.tsx';
import { LogKeys } from './LogKeys.tsx';
import { ModePanel } from './modes.tsx';
import type { Live } from './useLive.ts';

/** What is pressed while one walks: what the mode asks for, the keys, and the end. */
export function LiveKeys({
  live,
  actions,
  settled,
  onOpenCount,
}: {
  live: Live;
  actions: Actions;
  /** Changes when an open count is settled: the panel begins anew. */
  settled: number;
  onOpenCount: (count: EventBodies['hits'] | undefined) => void;
}) {
  const { subject, state, mode, kind, logNow, press, where } = live;
  const path = subject?.path;
  return (
    // Kept while a question stands in its place: a count is not lost by a look elsewhere.
    <div className="grid content-start gap-2" hidden={live.asking !== undefined}>
      <div className="contents" data-log>
        <ModePanel
          key={settled}
          mode={mode}
          log={live.log}
          path={path}
          kind={kind}
          add={logNow}
          mark={(atM, name) => live.mark({ travelledM: atM, method: path?.distanceMethod ?? 'by eye' }, name)}
          onOpenCount={onOpenCount}
        />
      </div>
      <Hops
        hops={subject ? hopsOf(subject.rig) : []}
        lost={state.grade === 1}
        onLost={(hop) => logNow('dropoutBegin', hop === undefined ? {} : { hop })}
      />
      <LogKeys
        actions={actions}
        mode={mode}
        words={kind.words}
        grade={state.grade}
        post={where.post}
        due={where.due !== undefined && where.due === where.post}
        hasWheel={live.gear.tick !== undefined}
        turned={state.turned}
        standing={state.standing}
        hold={live.options.hold}
        onDropout={press('dropoutBegin', {})}
        onBack={press('dropoutEnd', {})}
        onOtherPost={(path?.checkpoints.length ?? 0) > 1 ? (postMs) => live.ask({ postMs }) : undefined}
      />
      <EndBar actions={actions} canUndo={state.undoable !== undefined} />
    </div>
  );
}
