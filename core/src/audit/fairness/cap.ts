import { NOT_KNOWN, type AuditRule } from '../case/auditCase.ts';

/** What is behind the link, not the link, set the greatest throughput. */
export const cap: AuditRule = {
  id: 'cap',
  title: 'Throughput is capped',
  find: ({ products }) =>
    products.flatMap((p) =>
      p.cap
        ? [
            {
              products: [p.id],
              what: `${p.name} reads ${p.cap.levelMbps.toFixed(0)} Mbit/s at ${p.cap.points} nearest points: a cap, so its throughput there is at least that`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'Feed it from a server on its own cable that gives more, and read the near points again.',
            },
          ]
        : [],
    ),
};
