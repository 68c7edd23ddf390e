import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Setup, StoredWalk, WalkHeader } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { CannotMakeAnew, joinWalks, refileWalk, splitWalk, type Finding, type WalkRow } from '@urvek/study';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base, OutOfReach } from '../../api/client.ts';
import { Choice, Field } from '../../components/Field.tsx';
import { useNotice } from '../../components/Notice.tsx';
import { Trouble } from '../../components/States.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { joinedLog } from '../../workers/entries.ts';

const leave = async (header: WalkHeader, atS: number, reason: string | undefined): Promise<void> => {
  await fieldLog.adopt(header, 0);
  await fieldLog.append(header.id, 'leftOut', reason === undefined ? {} : { reason }, eventTime(atS, 1));
};

type Doing = 'split' | 'join' | 'refile';

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
  const { header, trace } = finding;
  const [doing, setDoing] = useState<Doing>('split');
  const [atS, setAtS] = useState('');
  const [otherId, setOtherId] = useState('');
  const [first, setFirst] = useState<'' | 'this' | 'other'>('');
  const [of, setOf] = useState({ rig: `${header.productId}/${header.rigId}`, pathId: header.pathId });
  const [reason, setReason] = useState('');
  const client = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
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
  const make = useMutation({
    mutationFn: async () => {
      const making = { newId: () => crypto.randomUUID(), reason: reason.trim() };
      const here: StoredWalk = { header, log };
      const old: WalkHeader[] = [header];
      let made: StoredWalk[];
      if (doing === 'split') made = splitWalk(here, Number(atS), making);
      else if (doing === 'join') {
        if (!other) throw new CannotMakeAnew('choose the walk that follows it');
        const [there, own] = await Promise.all([
          base.events(other.walkId).catch(() => []),
          fieldLog.logOf(other.walkId),
        ]);
        const second: StoredWalk = { header: other.header, log: joinedLog(there, own) };
        const isFirst = unordered ? first === 'this' : header.startedMs <= other.header.startedMs;
        const inOrder = isFirst ? ([here, second] as const) : ([second, here] as const);
        made = [joinWalks(...inOrder, making)];
        old.push(other.header);
      } else {
        const [productId = '', rigId = ''] = of.rig.split('/');
        made = [refileWalk(here, { productId, rigId, pathId: of.pathId }, making)];
      }
      await base.importWalks(header.comparisonId, made);
      const why = `${SAID[doing]}: ${making.reason}`;
      for (const walk of old) await leave(walk, trace.endS, why);
      return { made, old };
    },
    onSuccess: ({ made, old }) => {
      void sync();
      void client.invalidateQueries({ queryKey: ['walks', header.comparisonId] });
      setReason('');
      notice({
        text: `Made anew; what was there is left out: ${SAID[doing]}`,
        undo: () =>
          void (async () => {
            for (const walk of made) await leave(walk.header, walk.log.at(-1)?.time.walkS ?? 0, 'undone');
            for (const walk of old) await leave(walk, trace.endS, undefined);
            await sync();
            await client.invalidateQueries({ queryKey: ['walks', header.comparisonId] });
          })(),
      });
      void navigate(`/c/${header.comparisonId}/trace/${made[0]?.header.id}`);
    },
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
      <summary className="cursor-pointer font-bold">Split it, join it, or file it under another rig</summary>
      <form
        className="mt-2 grid gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <Choice label="What is wrong" value={doing} onChange={(e) => setDoing(e.target.value as Doing)}>
          <option value="split">it holds two walks: split it</option>
          <option value="join">it is a part of a walk: join it with another</option>
          <option value="refile">it was another rig, product or path</option>
        </Choice>
        {doing === 'split' && (
          <Field
            label="The second one begins at, on the walk’s clock"
            suffix="s"
            inputMode="decimal"
            value={atS}
            onChange={(e) => setAtS(e.target.value)}
          />
        )}
        {doing === 'join' &&
          (later.length === 0 ? (
            <p className="text-faint">There is no other walk of this rig on this path.</p>
          ) : (
            <>
              <Choice label="The other part" value={otherId} onChange={(e) => setOtherId(e.target.value)}>
                <option value="">choose one</option>
                {later.map((w) => (
                  <option key={w.walkId} value={w.walkId}>
                    {w.product}, walk {w.label}
                  </option>
                ))}
              </Choice>
              {other && unordered && (
                <Choice
                  label="Which of them was first"
                  value={first}
                  onChange={(e) => setFirst(e.target.value as typeof first)}
                >
                  <option value="">not known by their days: choose</option>
                  <option value="this">this one</option>
                  <option value="other">the other one</option>
                </Choice>
              )}
            </>
          ))}
        {doing === 'refile' && (
          <>
            <Choice
              label="Rig that was walked"
              value={of.rig}
              onChange={(e) => setOf({ ...of, rig: e.target.value })}
            >
              {setup.products.flatMap((p) =>
                p.rigs.map((r) => (
                  <option key={r.id} value={`${p.id}/${r.id}`}>
                    {p.name}: {r.name}
                  </option>
                )),
              )}
            </Choice>
            <Choice
              label="Path that was walked"
              value={of.pathId}
              onChange={(e) => setOf({ ...of, pathId: e.target.value })}
            >
              {setup.paths.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </Choice>
          </>
        )}
        <Field
          label="Why, and who says so"
          value={reason}
          maxLength={300}
          onChange={(e) => setReason(e.target.value)}
        />
        {make.error && (
          <Trouble
            error={
              make.error instanceof CannotMakeAnew
                ? new Error(`Not made: ${make.error.message}. The walk is as it was.`)
                : make.error instanceof OutOfReach
                  ? new OutOfReach('Not made: the base does not answer. The walk is as it was.')
                  : make.error
            }
          />
        )}
        <p>
          <button className="btn" disabled={!ready || make.isPending}>
            {make.isPending ? 'Making it …' : 'Make it anew'}
          </button>
        </p>
      </form>
    </details>
  );
}

const SAID: Readonly<Record<Doing, string>> = {
  split: 'split in two',
  join: 'joined with another',
  refile: 'filed under another rig or path',
};
