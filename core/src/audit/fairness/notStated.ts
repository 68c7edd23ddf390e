import { NOT_KNOWN, type AuditedProduct, type AuditRule } from '../case/auditCase.ts';

/** What can change a distance, and whether anything is said of it. */
const MATTERS: readonly (readonly [string, (p: AuditedProduct) => boolean])[] = [
  ['the band', (p) => p.bandMHz !== undefined],
  ['the power', (p) => p.powerMw !== undefined || p.rigs.every((r) => r.powerMw !== undefined)],
  ['the height of the fixed end', (p) => p.rigs.every((r) => r.heightFixedM !== undefined)],
  ['the height of the mobile end', (p) => p.rigs.every((r) => r.heightMobileM !== undefined)],
  ['the channel', (p) => p.rigs.every((r) => r.channel.trim() !== '')],
  ['where the antenna stands', (p) => p.rigs.every((r) => r.antennaPlace !== undefined)],
  ['the playout delay', (p) => p.rigs.every((r) => r.playoutDelayS !== undefined) || !listened(p)],
  ['where the walks begin', (p) => p.walks.every((w) => w.startM !== undefined)],
  ['how it was at the beginning', (p) => p.walks.every((w) => w.baselineStated)],
  ['the day', (p) => p.walks.every((w) => !w.undated)],
];

/** A delay places what is noticed while walking; at a stand nothing moves meanwhile. */
const listened = ({ walks }: AuditedProduct): boolean =>
  walks.length === 0 ||
  walks.some((w) => w.mode === 'continuous' || w.mode === 'drive' || w.mode === 'indoor');

/** What is not stated cannot be compared: it may differ between the products, and nobody would know. */
export const notStated: AuditRule = {
  id: 'not-stated',
  title: 'Not stated',
  find: ({ products }) =>
    products.flatMap((p) => {
      if (p.walks.length === 0 && p.rigs.length === 0) return [];
      const missing = MATTERS.filter(([, stated]) => !stated(p)).map(([what]) => what);
      return missing.length === 0
        ? []
        : [
            {
              products: [p.id],
              what: `${p.name}: ${missing.join(', ')}`,
              sizeDb: undefined,
              size: NOT_KNOWN,
              mend: 'Enter it in Kit, or correct the walk in Trace, where it is known; it is reported as not stated otherwise.',
            },
          ];
    }),
};
