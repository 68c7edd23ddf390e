import type { Setup, StoredWalk } from '@urvek/contract';
import type { LoggedAction } from '@urvek/core';
import { eventsOf, uuidFrom } from './events.ts';
import { path, product, SLATE_WORKS, SLATE_WORKS_ID, slateWorksWalks } from './slateWorks.ts';

// As the demo shows it: beside what was walked, what is yet to be walked, what nobody plans, a walk that says nothing
// in metres, and claims of every fate. All of it is invented.

const HORN = product('brackle', 'Brackle Horn', {
  kindId: 'speaker',
  bandMHz: 2400,
  powerMw: 4,
  requiredDbm: -80,
  claim: '40 m',
});

const TRAMWAY = path('tramway', 'Tramway', {
  condition: 'open',
  hazards: 'rails hidden in the grass',
  legs: [{ lengthM: 300, bearingDeg: 15, riseM: 2, exposure: 'open' }],
});

/** Claims that the walks refute; the others are in what was walked. */
const MORE_CLAIMS: Readonly<Record<string, Setup['products'][number]['claims'][number]>> = {
  mossgate: {
    id: 'mossgate-listing',
    form: 'distance',
    entered: '600 m',
    upTo: false,
    condition: 'open',
    source: 'a shop’s listing (made up)',
  },
  ardpuck: {
    id: 'ardpuck-latency',
    form: 'latency',
    entered: '60 ms',
    upTo: false,
    condition: 'open',
    source: 'advertisement (made up)',
  },
};

export const SLATE_WORKS_SHOWN: Setup = {
  ...SLATE_WORKS,
  products: [
    ...SLATE_WORKS.products.map((p) => {
      const more = MORE_CLAIMS[p.id];
      return more ? { ...p, claims: [...p.claims, more] } : p;
    }),
    HORN,
  ],
  paths: [...SLATE_WORKS.paths, TRAMWAY],
  plan: { ...SLATE_WORKS.plan, pathIds: SLATE_WORKS.paths.map((p) => p.id) },
};

/** Lost somewhere in the shed, and nobody logged where. */
function withoutPlace(after: StoredWalk): StoredWalk {
  const id = uuidFrom('slate-works/horn without a place');
  const startedMs = after.header.startedMs + 1_800_000;
  const log = [
    {
      atS: 0,
      kind: 'begin',
      body: {
        baselineGrade: 5,
        direction: 'fixed-to-mobile',
        simulatedSeed: 'slate-works/horn',
        conditions: { weather: 'dry' },
      },
    },
    { atS: 31, kind: 'dropoutBegin', body: {} },
    { atS: 36, kind: 'note', body: { text: 'lost behind a wagon; nobody was at the tape' } },
    { atS: 52, kind: 'end', body: { reason: 'link failed' } },
  ] as unknown as LoggedAction[];
  const rigId = HORN.rigs[0]?.id ?? '';
  return {
    header: {
      id,
      comparisonId: SLATE_WORKS_ID,
      productId: HORN.id,
      rigId,
      pathId: 'shed',
      startedMs,
      slot: { round: 1, place: 2, variant: 'plain' },
    },
    log: eventsOf(id, log, startedMs, 9_000_001),
  };
}

export function slateWorksShownWalks(): StoredWalk[] {
  const walks = slateWorksWalks();
  const last = walks.at(-1);
  return last ? [...walks, withoutPlace(last)] : walks;
}
