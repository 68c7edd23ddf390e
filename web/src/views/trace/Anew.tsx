import type { Setup } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { CannotMakeAnew, type Finding, type WalkRow } from '@urvek/study';
import { useState } from 'react';
import { OutOfReach } from '../../api/client.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { Trouble } from '../../components/States.tsx';
import { OtherPart, type First } from './OtherPart.tsx';
import { OtherRig, type WalkOf } from './OtherRig.tsx';
import { useMakeAnew, type Doing } from './useMakeAnew.ts';
import * as phrases from './phrases.ts';

/**
 * A log that holds two walks, a walk in two logs, a walk of another rig: made anew from what was logged. The old one
 * stays as it was, is left out of every result, and says why.
 */
export function Anew({
  setup,
  finding,
  log,
  walks,
}: {
  setup: Setup;
  finding: Finding;
  log: readonly WalkEvent[];
  walks: readonly WalkRow[];
}) {
  const { header } = finding;
  const [doing, setDoing] = useState<Doing>('split');
  const [atS, setAtS] = useState('');
  const [otherId, setOtherId] = useState('');
  const [first, setFirst] = useState<First>('');
  const [of, setOf] = useState<WalkOf>({ rig: `${header.productId}/${header.rigId}`, pathId: header.pathId });
  const [reason, setReason] = useState('');
  const later = walks.filter(
    (w) =>
      w.walkId !== header.id &&
      w.leftOut === undefined &&
      w.header.rigId === header.rigId &&
      w.header.pathId === header.pathId,
  );
  const other = later.find((w) => w.walkId === otherId);
  // Without a day nobody knows which was first but who was there.
  const unordered = Boolean(header.undated || other?.header.undated);
  const make = useMakeAnew({
    ...{ finding, log, doing, other, unordered, first, of, reason },
    atS: Number(atS),
    onMade: () => setReason(''),
  });
  const ready =
    reason.trim() !== '' &&
    (doing === 'split'
      ? atS.trim() !== '' && Number.isFinite(Number(atS))
      : doing === 'join'
        ? other !== undefined && (!unordered || first !== '')
        : of.rig !== `${header.productId}/${header.rigId}` || of.pathId !== header.pathId);
  return (
    <details className="border-t border-rule pt-2">
      <summary className="cursor-pointer font-bold">{phrases.splitItJoinItOrFile}</summary>
      <form
        className="mt-2 grid gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <Choice label={phrases.whatIsWrong} value={doing} onChange={(e) => setDoing(e.target.value as Doing)}>
          <option value="split">{phrases.itHoldsTwoWalksSplitIt}</option>
          <option value="join">{phrases.itIsAPartOfA}</option>
          <option value="refile">{phrases.itWasAnotherRigProductOr}</option>
        </Choice>
        {doing === 'split' && (
          <Field
            label={phrases.theSecondOneBeginsAtOn}
            suffix="s"
            inputMode="decimal"
            value={atS}
            onChange={(e) => setAtS(e.target.value)}
          />
        )}
        {doing === 'join' && (
          <OtherPart {...{ later, other, unordered, first }} onOther={setOtherId} onFirst={setFirst} />
        )}
        {doing === 'refile' && <OtherRig setup={setup} of={of} onChange={setOf} />}
        <Field
          label={phrases.whyAndWhoSaysSo}
          value={reason}
          maxLength={300}
          onChange={(e) => setReason(e.target.value)}
        />
        {make.error && (
          <Trouble
            error={
              make.error instanceof CannotMakeAnew
                ? new Error(phrases.notMadeTheWalkIsAs(make.error.message))
                : make.error instanceof OutOfReach
                  ? new OutOfReach(phrases.notMadeTheBaseDoesNot)
                  : make.error
            }
          />
        )}
        <p>
          <button className="btn" disabled={!ready || make.isPending}>
            {make.isPending ? phrases.makingIt : phrases.makeItAnew}
          </button>
        </p>
      </form>
    </details>
  );
}
