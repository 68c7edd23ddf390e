import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';

/** Of a link that is used both ways, the direction that was not tested may be the lesser. */
export const oneDirection: AuditRule = {
  id: 'direction',
  title: 'One direction only',
  find: ({ products, bothWays }) =>
    products.flatMap((p) => {
      const ways = [...new Set(p.walks.flatMap((w) => w.directions))];
      return bothWays && ways.length === 1
        ? [
            {
              products: [p.id],
              what: `${p.name} was tested ${ways[0]} only`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'Test the other direction: one end can be deaf.',
            },
          ]
        : [];
    }),
};
