import {
  type Correction,
  type Entry,
  type EventBodies,
  type EventKind,
  type EventKey,
  type WalkEvent,
} from '@urvek/core';
import type { Finding } from '@urvek/study';
import { useNotice } from '../../components/Notice.tsx';
import { fieldLog } from '../../field/fieldLog.ts';
import { sync } from '../../field/sync.ts';
import { eventTime, FOUND_S, knownTo } from '../../field/time.ts';
import type { Why } from './WhyFields.tsx';
import type { GradedStretch } from '../film/ProposedGrades.tsx';
import * as phrases from './phrases.ts';

/** A loss on the walk's clock; without an end it lasts to the end of the recording. */
export interface FoundOnWalk {
  readonly fromS: number;
  readonly toS: number | undefined;
  /** What it is, and what that rests on. */
  readonly found: string;
  /** A person moved its edges. */
  readonly byHand?: true | undefined;
}

/** Writes into the log of a walk that was made: what is written can be taken back at once. */
export function useWriting({ header, walkId, trace }: Finding) {
  const notice = useNotice();
  const append = async <K extends EventKind>(
    kind: K,
    body: EventBodies[K],
    walkS: number,
    frameS?: number,
  ): Promise<WalkEvent> => {
    try {
      await fieldLog.adopt(header, 0);
      return await fieldLog.append(
        walkId,
        kind,
        body,
        eventTime(walkS, trace.begin.time.rate, undefined, frameS),
      );
    } catch (cause) {
      throw new Error(phrases.thisWasNotKeptThisDevice, { cause });
    }
  };
  const said = (text: string, { deviceId, seq }: EventKey): void => {
    void sync();
    const withdrawn = { amends: { deviceId, seq }, action: 'withdraw', reason: 'undone' } as const;
    notice({ text, undo: () => void append('correction', withdrawn, trace.endS).then(sync) });
  };
  /** At the walk's end, unless another moment is given. */
  const write = async <K extends EventKind>(
    kind: K,
    body: EventBodies[K],
    text: string,
    atS = trace.endS,
  ): Promise<void> => said(text, await append(kind, body, atS));
  const by = ({ reason, author }: Why): Pick<Correction, 'reason' | 'author'> => ({
    reason: reason.trim(),
    ...(author.trim() ? { author: author.trim() } : {}),
  });
  /** Takes back what was written together. */
  const takeBack = async (keys: readonly EventKey[]): Promise<void> => {
    for (const amends of keys)
      await append('correction', { amends, action: 'withdraw', reason: 'undone' }, trace.endS);
    void sync();
  };
  return {
    write,
    /** Losses that an instrument found, on the walk's clock; taken back together. */
    found: async (list: readonly FoundOnWalk[]): Promise<void> => {
      const keys: EventKey[] = [];
      for (const { fromS, toS, found, byHand } of list) {
        const made = [await append('dropoutBegin', { found }, fromS, knownTo({ byHand }))];
        if (toS !== undefined) made.push(await append('dropoutEnd', { found }, toS, knownTo({ byHand })));
        keys.push(...made.map(({ deviceId, seq }) => ({ deviceId, seq })));
      }
      void sync();
      notice({
        text: phrases.logged(phrases.countedLosses(list.length)),
        undo: () => void takeBack(keys),
      });
    },
    /** A stretch that was graded after an instrument found faults in it; then it is as it was before. */
    graded: async ({
      fromS,
      toS,
      found,
      grade,
      then,
    }: FoundOnWalk & Pick<GradedStretch, 'toS' | 'grade' | 'then'>): Promise<void> => {
      const made = [
        await append('grade', { grade, found }, fromS, FOUND_S),
        await append('grade', { grade: then, found }, toS, FOUND_S),
      ];
      void sync();
      notice({
        text: phrases.logged(phrases.gradeText(grade)),
        undo: () => void takeBack(made.map(({ deviceId, seq }) => ({ deviceId, seq }))),
      });
    },
    correct: (
      { deviceId, seq, time }: WalkEvent,
      correction: Omit<Correction, 'amends' | 'reason' | 'author'>,
      why: Why,
    ): Promise<void> =>
      write(
        'correction',
        { amends: { deviceId, seq }, ...correction, ...by(why) },
        phrases.correctionLogged,
        time.walkS,
      ),
    add: async ({ kind, body }: Entry, walkS: number, why: Why): Promise<void> => {
      const { deviceId, seq } = await append(kind, body as never, walkS);
      await append('correction', { amends: { deviceId, seq }, action: 'add', ...by(why) }, walkS);
      said(phrases.entryAdded, { deviceId, seq });
    },
    /** Several at once, of one source: taken back together. */
    addAll: async (
      entries: readonly { readonly entry: Entry; readonly walkS: number }[],
      why: Why,
      what: string,
    ): Promise<void> => {
      const keys: EventKey[] = [];
      for (const { entry, walkS } of entries) {
        const { deviceId, seq } = await append(entry.kind, entry.body as never, walkS);
        await append('correction', { amends: { deviceId, seq }, action: 'add', ...by(why) }, walkS);
        keys.push({ deviceId, seq });
      }
      void sync();
      notice({ text: what, undo: () => void takeBack(keys) });
    },
  };
}
