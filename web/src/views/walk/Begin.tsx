import type { WalkHeader } from '@urvek/contract';
import { GRADES, kindOf, WALK_MODES, type Conditions, type Grade, type WalkMode } from '@urvek/core';
import { travelledGround } from '@urvek/draw';
import { planState, slotOf } from '@urvek/study';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useStudy } from '../../api/queries.ts';
import { Choice, Options } from '../../components/Field.tsx';
import { Stage, type Ready } from '../../components/Frame.tsx';
import { Empty, Trouble } from '../../components/States.tsx';
import { Tape } from '../../components/Tape.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { delayInForce } from '../../field/operator.ts';
import { eventTime, nowMs } from '../../field/time.ts';
import { keepLastWalk, lastWalk } from '../../state/lastWalk.ts';
import { ConditionsForm } from './ConditionsForm.tsx';
import { JustWalked } from './JustWalked.tsx';
import { Mixing, mixingOf } from './Mixing.tsx';
import { RigCheck, type Results } from './RigCheck.tsx';
import { StartAt } from './StartAt.tsx';
import { AT_FIXED_END, NOT_STATED, readingOfStart, type StartPlace } from './startPlace.ts';
import { notBegun } from './device.ts';
import { StorageTrouble } from './StorageTrouble.tsx';

const heightText = (m: number | undefined): string => (m === undefined ? 'height not stated' : `${m} m`);

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
  const [mixing, setMixing] = useState<string>();
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
      <Stage title="Walk">
        <Empty title="Nothing to walk yet">
          The plan is empty: enter two products, a path, and how often.
        </Empty>
      </Stage>
    );
  const { product, rig, path } = slot.item;
  const kind = kindOf(product.kindId);
  const begin = async (gear: 'real' | 'simulated'): Promise<void> => {
    const simulated = gear === 'simulated';
    const header: WalkHeader = {
      id: crypto.randomUUID(),
      comparisonId: comparison.id,
      productId: product.id,
      rigId: rig.id,
      pathId: path.id,
      startedMs: nowMs(),
      slot: slotOf(comparison.setup, slot),
    };
    try {
      await fieldLog.adopt(header, 1);
      const reading = simulated ? AT_FIXED_END : readingOfStart(start);
      await fieldLog.append(
        header.id,
        'begin',
        {
          ...(baseline === undefined ? {} : { baselineGrade: baseline }),
          direction: kind.direction,
          ...(reading ? { reading } : {}),
          ...(rig.playoutDelayS === undefined ? {} : { playoutDelayS: rig.playoutDelayS }),
          ...(!simulated && start.inwards ? { inwards: true as const } : {}),
          mode,
          conditions,
          ...(await delayInForce()),
          ...(simulated ? { simulatedSeed: header.id } : {}),
          checks: kind.checks.map((c) => ({ id: c.id, result: checks[c.id] ?? 'not done' })),
        },
        eventTime(0, 1),
      );
      keepLastWalk(comparison.id, { mode, gear });
      onBegin(header.id);
    } catch (cause) {
      setError(notBegun(cause));
    }
  };
  return (
    <Stage
      title="Walk"
      lead={
        slots.some((s) => !s.walk)
          ? `Next in the plan: round ${slot.round}, place ${slot.place}.`
          : 'The plan is walked; this would be an extra walk.'
      }
      actions={
        <>
          <Link className="btn" to={`/c/${comparison.id}/notebook`}>
            Write a walk down
          </Link>
          <Link className="btn" to={`/c/${comparison.id}/film`}>
            Log from a recording
          </Link>
        </>
      }
    >
      {walked !== undefined && <JustWalked workspace={workspace} walkId={walked} onWalkOn={onBegin} />}
      <div className="sheet grid gap-4 p-4 md:grid-cols-2">
        <div className="grid content-start gap-3">
          <Choice
            label="Walk"
            value={slots.indexOf(slot)}
            onChange={(e) => {
              setChosen(Number(e.target.value));
              setChecks({});
            }}
          >
            {slots.map((s, i) => (
              <option key={i} value={i}>
                {s.item.product.name}
                {s.item.product.rigs.length > 1 ? ` (${s.item.rig.name})` : ''} on {s.item.path.name},{' '}
                {s.item.variant === 'plain' ? `round ${s.round}` : s.item.variant}
                {s.walk ? ' (walked)' : ''}
              </option>
            ))}
          </Choice>
          <Choice
            label="Baseline, where it begins"
            value={baseline ?? ''}
            onChange={(e) =>
              setBaseline(e.target.value === '' ? undefined : (Number(e.target.value) as Grade))
            }
          >
            <option value="">not graded</option>
            {GRADES.map((g) => (
              <option key={g} value={g}>
                {g}: {kind.words[g]}
              </option>
            ))}
          </Choice>
          <p className="text-faint">
            Rig {rig.name}: fixed end {heightText(rig.heightFixedM)}, mobile end{' '}
            {heightText(rig.heightMobileM)}, channel {rig.channel || 'not stated'}. Test signal:{' '}
            {kind.testSignal}.
          </p>
          <RigCheck
            key={rig.id}
            kind={kind}
            results={checks}
            onChange={setChecks}
            checkedBefore={walks.some((w) => w.header.rigId === rig.id && w.checked)}
          />
          <div className="grid grid-cols-2 gap-3">
            <Choice label="How" value={mode} onChange={(e) => setMode(e.target.value as WalkMode)}>
              <Options of={WALK_MODES} />
            </Choice>
            <Choice
              label="Gear"
              value={gear}
              onChange={(e) => {
                setGear(e.target.value === 'simulated' ? 'simulated' : 'real');
                setMixing(undefined);
              }}
            >
              <option value="simulated">simulated</option>
              <option value="real">real, on foot</option>
            </Choice>
          </div>
          {!simulated && <StartAt start={start} onChange={setStart} usual={path.distanceMethod} />}
          {simulated && (
            <p className="border-l-4 border-degraded pl-3">
              Simulated gear plays the {kind.watched}, the link and the wheel. What you log is real; what you
              hear is invented.
            </p>
          )}
          <ConditionsForm conditions={conditions} onChange={setConditions} />
          {mode === 'drive' && (
            <p className="border-l-4 border-lost pl-3">
              Driving: a passenger logs, or the walk is hands-free. Nobody reads while the vehicle moves.
            </p>
          )}
          <StorageTrouble />
          {error && <Trouble error={error} />}
          <div className="sticky bottom-0 z-[5] bg-sheet py-1">
            {mixing ? (
              <Mixing
                meaning={mixing}
                onBegin={(answer) => void begin(answer)}
                onCancel={() => setMixing(undefined)}
              />
            ) : (
              <button
                className="btn btn-main min-h-16 w-full justify-center text-lg md:w-64"
                onClick={() => {
                  const meaning = mixingOf(walks, gear);
                  if (meaning) setMixing(meaning);
                  else void begin(gear);
                }}
              >
                Begin the walk
              </button>
            )}
          </div>
        </div>
        <div>
          <Tape title={`The path ${path.name}`} ground={travelledGround(path)} measure="travelled" />
          {unfair.length > 0 && (
            <section className="mt-3 border-l-4 border-degraded pl-3" aria-label="Not as the others">
              <h2 className="text-base">Not as the others, while it can still be mended</h2>
              <ul className="text-[0.87rem]">
                {unfair.map((a) => (
                  <li key={a.key} data-audit={a.rule}>
                    {a.what}. <span className="text-faint">{a.mend}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {path.hazards && (
            <p className="mt-2 border-l-4 border-degraded pl-3">
              <strong>Mind:</strong> {path.hazards}.
            </p>
          )}
          <p className="mt-2 text-faint">
            Walking: look up before you look down. Say when you will be back, by a second way to call.
          </p>
        </div>
      </div>
    </Stage>
  );
}
