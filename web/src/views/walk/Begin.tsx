import { kindOf, type Conditions, type Grade, type WalkMode } from '@urvek/core';
import { planState } from '@urvek/study';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useStudy } from '../../api/study.ts';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import { Empty, Trouble } from '../../components/States.tsx';
import { nowMs } from '../../field/time.ts';
import { keepLastWalk, lastWalk } from '../../state/lastWalk.ts';
import { ConditionsForm } from './ConditionsForm.tsx';
import { JustWalked } from './JustWalked.tsx';
import { BeginPress } from './BeginPress.tsx';
import { ModeAndGear } from './ModeAndGear.tsx';
import { RigCheck, type Results } from './RigCheck.tsx';
import { SlotChoice } from './SlotChoice.tsx';
import { StartAt } from './StartAt.tsx';
import { NOT_STATED, type StartPlace } from './startPlace.ts';
import { BaselineChoice } from './BaselineChoice.tsx';
import { BeginAside } from './BeginAside.tsx';
import { beginWalk } from './beginWalk.ts';
import { notBegun } from './device.ts';
import { StorageTrouble } from './StorageTrouble.tsx';
import * as phrases from './phrases.ts';

const heightText = (m: number | undefined): string => (m === undefined ? phrases.heightNotStated : `${m} m`);

/** The next walk of the plan, or another; a walk begins with its baseline. */
export function Begin({ workspace, onBegin }: { workspace: Ready; onBegin: (walkId: string) => void }) {
  const { comparison, walks } = workspace;
  const { state } = useLocation() as { state: { walked?: string } | null };
  const walked = state?.walked;
  const slots = planState(comparison.setup, walks);
  const next = slots.find((s) => !s.walk) ?? slots[0];
  const [chosen, setChosen] = useState<number>();
  const [baseline, setBaseline] = useState<Grade>();
  const [start, setStart] = useState<StartPlace>(NOT_STATED);
  const [checks, setChecks] = useState<Results>({});
  // As at the last walk; before the first it is real: never simulated by a forgotten choice.
  const [last] = useState(() => lastWalk(comparison.id));
  const [mode, setMode] = useState<WalkMode>(last?.mode ?? comparison.setup.plan.mode ?? 'continuous');
  const [gear, setGear] = useState(
    last?.gear ?? (walks.findLast((w) => !w.withheld)?.simulated ? 'simulated' : 'real'),
  );
  const simulated = gear === 'simulated';
  const [conditions, setConditions] = useState<Conditions>({});
  const [error, setError] = useState<Error>();
  const slot = chosen === undefined ? next : slots[chosen];
  // A sealed plan has letters for names, and the audit would give them away.
  const { data: audits } = useStudy(
    workspace,
    ['begin', slot?.item.rig.id, slot?.item.path.id, conditions],
    (study, of) => study.beginAudit(of, (slot as NonNullable<typeof slot>).item, conditions, nowMs()),
    slot !== undefined && !comparison.setup.plan.blind,
  );
  const unfair = audits?.filter((a) => a.acknowledged === undefined) ?? [];
  if (!slot)
    return (
      <Stage title={phrases.walk}>
        <Empty title={phrases.nothingToWalkYet}>{phrases.thePlanIsEmptyEnterTwo}</Empty>
      </Stage>
    );
  const { product, rig, path } = slot.item;
  const kind = kindOf(product.kindId);
  const begin = async (gear: 'real' | 'simulated'): Promise<void> => {
    try {
      const walkId = await beginWalk(comparison, slot, {
        ...{ mode, baseline, start, conditions, checks },
        simulated: gear === 'simulated',
      });
      keepLastWalk(comparison.id, { mode, gear });
      onBegin(walkId);
    } catch (cause) {
      setError(notBegun(cause));
    }
  };
  return (
    <Stage
      title={phrases.walk}
      lead={
        slots.some((s) => !s.walk)
          ? phrases.nextInThePlanRoundPlace(slot.round, slot.place)
          : phrases.thePlanIsWalkedThisWould
      }
      actions={
        <>
          <Link className="btn" to={`/c/${comparison.id}/notebook`}>
            {phrases.writeAWalkDown}
          </Link>
          <Link className="btn" to={`/c/${comparison.id}/film`}>
            {phrases.logFromARecording}
          </Link>
        </>
      }
    >
      {walked !== undefined && <JustWalked workspace={workspace} walkId={walked} onWalkOn={onBegin} />}
      <div className="sheet grid gap-4 p-4 md:grid-cols-2">
        <div className="grid content-start gap-3">
          <SlotChoice
            slots={slots}
            slot={slot}
            onChoose={(nth) => {
              setChosen(nth);
              setChecks({});
            }}
          />
          <BaselineChoice kind={kind} baseline={baseline} onChange={setBaseline} />
          <p className="text-faint">
            {phrases.rigFixedEndMobileEndChannel(
              rig.name,
              heightText(rig.heightFixedM),
              heightText(rig.heightMobileM),
              rig.channel || phrases.notStated,
              kind.testSignal,
            )}
          </p>
          <RigCheck
            key={rig.id}
            kind={kind}
            results={checks}
            onChange={setChecks}
            checkedBefore={walks.some((w) => w.header.rigId === rig.id && w.checked)}
          />
          <ModeAndGear mode={mode} gear={gear} onMode={setMode} onGear={setGear} />
          {!simulated && <StartAt start={start} onChange={setStart} usual={path.distanceMethod} />}
          {simulated && (
            <p className="border-l-4 border-degraded pl-3">
              {phrases.simulatedGearPlaysTheTheLink(kind.watched)}
            </p>
          )}
          <ConditionsForm conditions={conditions} onChange={setConditions} />
          {mode === 'drive' && (
            <p className="border-l-4 border-lost pl-3">{phrases.drivingAPassengerLogsOrThe}</p>
          )}
          <StorageTrouble />
          {error && <Trouble error={error} />}
          <div className="sticky bottom-0 z-[5] bg-sheet py-1">
            <BeginPress key={gear} walks={walks} gear={gear} onBegin={(answer) => void begin(answer)} />
          </div>
        </div>
        <BeginAside path={path} unfair={unfair} />
      </div>
    </Stage>
  );
}
