import type { RigSettings } from '../../kit/rig.ts';
import { rigDifferences } from '../../kit/rigDiff.ts';
import { NOT_KNOWN, type AuditedProduct, type AuditFinding, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

const COUNTED = 2;

/** Two settings changed from one walk of a product to the next: which of them did it cannot be told. */
export const twoThings: AuditRule = {
  id: 'two-things',
  title: phrases.twoThingsChangedAtOnce,
  find: ({ products }) =>
    modelsOf(products).flatMap((p): AuditFinding[] => {
      const rigs = p.walks.reduce<{ name: string; rig: RigSettings }[]>(
        (seen, w) =>
          seen.some((s) => s.name === w.rigName) ? seen : [...seen, { name: w.rigName, rig: w.rig }],
        [],
      );
      return rigs.slice(1).flatMap(({ name, rig }, i): AuditFinding[] => {
        const before = rigs[i] as (typeof rigs)[number];
        const changes = rigDifferences(before.rig, rig);
        return changes.length < COUNTED
          ? []
          : [
              {
                products: [p.id],
                what: phrases.fromToChangedTogether(
                  p.name,
                  before.name,
                  name,
                  changes.map((c) => c.label.toLowerCase()).join(', '),
                ),
                sizeDb: undefined,
                size: NOT_KNOWN,
                mend: phrases.changeOneSettingAtATime,
              },
            ];
      });
    }),
};

/** Rigs of one product that differ are compared apart; here they are one product again. */
const modelsOf = (products: readonly AuditedProduct[]): AuditedProduct[] =>
  [...new Set(products.map((p) => p.model))].map((model) => {
    const [first, ...rest] = products.filter((p) => p.model === model) as [AuditedProduct];
    return rest.length === 0
      ? first
      : {
          ...first,
          name: first.name.split(',')[0] ?? first.name,
          walks: [first, ...rest].flatMap((p) => p.walks).sort((a, b) => a.startedMs - b.startedMs),
        };
  });
