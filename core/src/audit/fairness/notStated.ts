import { statedUnevenly } from '../../kit/sameRig.ts';
import { NOT_KNOWN, type AuditedProduct, type AuditRule } from '../case/auditCase.ts';
import * as phrases from './phrases.ts';

type Where = 'Kit' | 'Trace' | 'the table';

/** What can change a distance, whether anything is said of it, and where it is entered. */
const MATTERS: readonly (readonly [what: string, where: Where, stated: (p: AuditedProduct) => boolean])[] = [
  [phrases.theBand, 'Kit', (p) => p.bandMHz !== undefined],
  [phrases.thePower, 'Kit', (p) => p.powerMw !== undefined || p.rigs.every((r) => r.powerMw !== undefined)],
  [phrases.theHeightOfTheFixedEnd, 'Kit', (p) => p.rigs.every((r) => r.heightFixedM !== undefined)],
  [phrases.theHeightOfTheMobileEnd, 'Kit', (p) => p.rigs.every((r) => r.heightMobileM !== undefined)],
  [phrases.theChannel, 'Kit', (p) => p.rigs.every((r) => r.channel.trim() !== '')],
  [phrases.whereTheAntennaStands, 'Kit', (p) => p.rigs.every((r) => r.antennaPlace !== undefined)],
  [phrases.thePlayoutDelay, 'Kit', (p) => p.rigs.every((r) => r.playoutDelayS !== undefined) || !listened(p)],
  [phrases.whereTheWalksBegin, 'Trace', (p) => p.walks.every((w) => w.startM !== undefined)],
  [phrases.howItWasAtTheBeginning, 'Trace', (p) => p.walks.every((w) => w.baselineStated)],
  [phrases.theDay, 'the table', (p) => p.walks.every((w) => !w.undated)],
];

const HOW: Readonly<Record<Where, string>> = {
  Kit: phrases.enterItInKit,
  Trace: phrases.correctTheBeginningOfTheWalk,
  'the table': phrases.takeTheTableInAgainWith,
};

/** A delay places what is noticed while walking; at a stand nothing moves meanwhile. */
const listened = ({ walks }: AuditedProduct): boolean =>
  walks.length === 0 ||
  walks.some((w) => w.mode === 'continuous' || w.mode === 'drive' || w.mode === 'indoor');

/** What is not stated cannot be compared: it may differ between the products, and nobody would know. */
export const notStated: AuditRule = {
  id: 'not-stated',
  title: phrases.notStated,
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
                mend: phrases.whereItIsKnownItIs(ways.join('; ')),
              },
            ]),
        ...(uneven.length === 0
          ? []
          : [
              {
                what: phrases.itsRigsAreTakenTogetherThough(p.name, uneven.join(', ')),
                mend: phrases.stateItOfEachRigIn,
              },
            ]),
      ].map((found) => ({ ...found, products: [p.id], sizeDb: undefined, size: NOT_KNOWN }));
    }),
};
