import { NOT_KNOWN, type AuditCase, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

/**
 * For each round, who was walked first: rounds of the plan, else the first walks of all, the second walks
 * of all, and so on.
 */
function firstOfRounds({ products }: AuditCase): string[] {
  const walks = products.flatMap((p) =>
    p.walks
      .filter((w) => !w.baseline)
      .map((w, i) => ({ id: p.id, round: w.round ?? i + 1, startedMs: w.startedMs })),
  );
  const rounds = [...new Set(walks.map((w) => w.round))];
  return rounds.flatMap((round) => {
    const own = walks.filter((w) => w.round === round).sort((a, b) => a.startedMs - b.startedMs);
    return new Set(own.map((w) => w.id)).size > 1 ? [(own[0] as (typeof own)[number]).id] : [];
  });
}

/**
 * Batteries, weather and the tester's ear change over a day: who always leads, or never, gets other days
 * than the rest.
 */
export const order: AuditRule = {
  id: 'order',
  title: phrases.oneProductAlwaysLed,
  find: (of) => {
    const firsts = firstOfRounds(of);
    return of.products.flatMap((p) => {
      const led = firsts.filter((id) => id === p.id).length;
      return firsts.length >= 2 && led === firsts.length
        ? [
            {
              products: of.products.map((x) => x.id),
              what: phrases.wasWalkedFirstInAllRounds(p.name, firsts.length),
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: phrases.takeTheOrderFromPlanEach,
            },
          ]
        : [];
    });
  },
};
