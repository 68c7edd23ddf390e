import type { RigSettings } from '../../kit/rig.ts';
import { rigDifferences } from '../../kit/rigDiff.ts';
import { NOT_KNOWN, type AuditFinding, type AuditRule } from '../case/auditCase.ts';

const COUNTED = 2;

/** Two settings changed from one walk of a product to the next: which of them did it cannot be told. */
export const twoThings: AuditRule = {
  id: 'two-things',
  title: 'Two things changed at once',
  find: ({ products }) =>
    products.flatMap((p): AuditFinding[] => {
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
                what: `${p.name}: from “${before.name}” to “${name}” ${changes.map((c) => c.label.toLowerCase()).join(', ')} changed together`,
                sizeDb: undefined,
                size: NOT_KNOWN,
                mend: 'Change one setting at a time, and walk between.',
              },
            ];
      });
    }),
};
