import type { Setup, StoredWalk } from '@urvek/contract';
import { NO_FAULTS, SLATE_WORKS, slateWorksWalks } from './slateWorks.ts';

/**
 * The same place, products and paths with nothing wrong: two units of each, walked blind and in turn, rigs
 * alike.
 */
export const CLEAN_TWIN: Setup = {
  ...SLATE_WORKS,
  products: SLATE_WORKS.products.map((p) => {
    const [rig] = p.rigs;
    if (!rig) return p;
    const alike = { ...rig, heightFixedM: 1.6, heightMobileM: 1.6 };
    return {
      ...p,
      claims: p.claims.filter((c) => c.form === 'distance'),
      units: [...p.units, { id: `${p.id}-b`, label: 'B', history: 'made up' }],
      rigs: [
        alike,
        {
          ...alike,
          id: `${p.id}-rig-b`,
          name: 'The second unit',
          unitFixedId: `${p.id}-b`,
          unitMobileId: `${p.id}-b`,
        },
      ],
    };
  }),
  quoted: [
    {
      id: 'leaflet',
      productId: 'larkbell',
      pathId: 'incline',
      source: 'a leaflet (made up)',
      provenance: 'quoted',
      walks: 3,
      bestM: 105,
      spreadM: 5,
    },
  ],
  plan: {
    ...SLATE_WORKS.plan,
    walksEach: 2,
    blind: true,
    rigIds: SLATE_WORKS.products.flatMap((p) => [`${p.id}-rig`, `${p.id}-rig-b`]),
  },
};

export const cleanTwinWalks = (): StoredWalk[] => slateWorksWalks(CLEAN_TWIN, NO_FAULTS);
