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
              what: p.cap.measured
                ? `${p.name} reads ${p.cap.levelMbps.toFixed(0)} Mbit/s at its near point, as much as what is behind it gives by cable: at least that`
                : `${p.name} reads ${p.cap.levelMbps.toFixed(0)} Mbit/s at ${p.cap.points} nearest points, and what is behind it was not measured: at least that`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'Measure what is behind it by cable and enter it in Paths; where that is the cap, feed it from a server on its own cable that gives more, and read the near points again.',
            },
          ]
        : [],
    ),
};
