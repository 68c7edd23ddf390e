import { statedUnevenly } from '../../kit/sameRig.ts';
import { NOT_KNOWN, type AuditedProduct, type AuditRule } from '../case/auditCase.ts';

type Where = 'Kit' | 'Trace' | 'the table';

/** What can change a distance, whether anything is said of it, and where it is entered. */
const MATTERS: readonly (readonly [what: string, where: Where, stated: (p: AuditedProduct) => boolean])[] = [
  ['the band', 'Kit', (p) => p.bandMHz !== undefined],
  ['the power', 'Kit', (p) => p.powerMw !== undefined || p.rigs.every((r) => r.powerMw !== undefined)],
  ['the height of the fixed end', 'Kit', (p) => p.rigs.every((r) => r.heightFixedM !== undefined)],
  ['the height of the mobile end', 'Kit', (p) => p.rigs.every((r) => r.heightMobileM !== undefined)],
  ['the channel', 'Kit', (p) => p.rigs.every((r) => r.channel.trim() !== '')],
  ['where the antenna stands', 'Kit', (p) => p.rigs.every((r) => r.antennaPlace !== undefined)],
  ['the playout delay', 'Kit', (p) => p.rigs.every((r) => r.playoutDelayS !== undefined) || !listened(p)],
  ['where the walks begin', 'Trace', (p) => p.walks.every((w) => w.startM !== undefined)],
  ['how it was at the beginning', 'Trace', (p) => p.walks.every((w) => w.baselineStated)],
  ['the day', 'the table', (p) => p.walks.every((w) => !w.undated)],
];

const HOW: Readonly<Record<Where, string>> = {
  Kit: 'Enter it in Kit',
  Trace: 'Correct the beginning of the walk in Trace',
  'the table': 'Take the table in again with a column for the day',
};

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
      const missing = MATTERS.filter(([, , stated]) => !stated(p));
      const ways = [...new Set(missing.map(([, where]) => HOW[where]))];
      const uneven = statedUnevenly(p.rigs);
      return [
        ...(missing.length === 0
          ? []
          : [
              {
                what: `${p.name}: ${missing.map(([what]) => what).join(', ')}`,
                mend: `${ways.join('; ')}, where it is known; it is reported as not stated otherwise.`,
              },
            ]),
        ...(uneven.length === 0
          ? []
          : [
              {
                what: `${p.name}: its rigs are taken together, though only some of them state ${uneven.join(', ')}`,
                mend: 'State it of each rig in Kit: rigs that differ are then compared apart.',
              },
            ]),
      ].map((found) => ({ ...found, products: [p.id], sizeDb: undefined, size: NOT_KNOWN }));
    }),
};
