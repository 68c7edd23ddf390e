import { writeInterchange, type Interchange, type StoredWalk } from '@urvek/contract';
import { uuidFrom } from './events.ts';
import { SLATE_WORKS, slateWorksWalks } from './slateWorks.ts';

const DAY_MS = 86_400_000;

/**
 * The walks of the slate works over and over, each time a day later: as many as a reviewer makes in years.
 * For tests and benchmarks.
 */
export function manyWalks(id: string, times: number): Interchange {
  const once = slateWorksWalks();
  const walks = Array.from({ length: times }, (_, day) =>
    once.map(({ header, log }): StoredWalk => {
      const walkId = uuidFrom(`many/${id}/${day}/${header.id}`);
      const { slot: _slot, ...rest } = header;
      return {
        header: { ...rest, id: walkId, comparisonId: id, startedMs: header.startedMs + day * DAY_MS },
        log: log.map((e) => ({
          ...e,
          walkId,
          seq: e.seq + day * 1_000_000,
          time: { ...e.time, wallMs: e.time.wallMs + day * DAY_MS, originMs: e.time.originMs + day * DAY_MS },
        })),
      };
    }),
  ).flat();
  const comparison = { id, title: 'Many walks', question: 'Is it still quick?', simulated: true };
  return writeInterchange(comparison, SLATE_WORKS, walks);
}
