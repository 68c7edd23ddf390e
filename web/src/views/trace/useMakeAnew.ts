import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { StoredWalk, WalkHeader } from '@urvek/contract';
import type { WalkEvent } from '@urvek/core';
import { CannotMakeAnew, joinWalks, refileWalk, splitWalk, type Finding, type WalkRow } from '@urvek/study';
import { useNavigate } from 'react-router';
import { base } from '../../api/client.ts';
import { useNotice } from '../../components/Notice.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime } from '../../field/time.ts';
import { joinedLog } from '../../workers/entries.ts';
import type { First } from './OtherPart.tsx';
import type { WalkOf } from './OtherRig.tsx';
import * as phrases from './phrases.ts';

export type Doing = 'split' | 'join' | 'refile';

const leave = async (header: WalkHeader, atS: number, reason: string | undefined): Promise<void> => {
  await fieldLog.adopt(header, 0);
  await fieldLog.append(header.id, 'leftOut', reason === undefined ? {} : { reason }, eventTime(atS, 1));
};

const SAID: Readonly<Record<Doing, string>> = {
  split: phrases.splitInTwo,
  join: phrases.joinedWithAnother,
  refile: phrases.filedUnderAnotherRigOrPath,
};

/** Makes a walk anew from what was logged, and leaves the old one out; both can be undone. */
export function useMakeAnew({
  finding: { header, trace },
  log,
  doing,
  atS,
  other,
  unordered,
  first,
  of,
  reason,
  onMade,
}: {
  finding: Finding;
  log: readonly WalkEvent[];
  doing: Doing;
  /** Where it is split, s of the walk's clock. */
  atS: number;
  other: WalkRow | undefined;
  unordered: boolean;
  first: First;
  of: WalkOf;
  reason: string;
  onMade: () => void;
}) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
  return useMutation({
    mutationFn: async () => {
      const making = { newId: () => crypto.randomUUID(), reason: reason.trim() };
      const here: StoredWalk = { header, log };
      const old: WalkHeader[] = [header];
      let made: StoredWalk[];
      if (doing === 'split') made = splitWalk(here, atS, making);
      else if (doing === 'join') {
        if (!other) throw new CannotMakeAnew(phrases.chooseTheWalkThatFollowsIt);
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
      onMade();
      notice({
        text: phrases.madeAnewWhatWasThereIs(SAID[doing]),
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
}
