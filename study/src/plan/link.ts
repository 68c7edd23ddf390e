import type { PathLink, SimulatedGear } from '@urvek/core';
import type { Product, Rig } from '@urvek/contract';
import * as phrases from './phrases.ts';

/** What a prediction of a link wants, and is not stated. */
export function missingForPrediction(product: Product, rig: Rig): string[] {
  const wanted: readonly (readonly [string, number | undefined])[] = [
    [phrases.theWeakestLevelItReceives, product.sensitivityDbm],
    [phrases.theBand, product.bandMHz],
    [phrases.thePower, rig.powerMw ?? product.powerMw],
    [phrases.theHeightOfTheFixedEnd, rig.heightFixedM],
    [phrases.theHeightOfTheMobileEnd, rig.heightMobileM],
  ];
  return wanted.flatMap(([what, value]) => (value === undefined ? [what] : []));
}

/** The link of a product on a rig, for predictions; undefined until all is stated that one wants. */
export function pathLinkOf(product: Product, rig: Rig): PathLink | undefined {
  const { sensitivityDbm: requiredDbm, bandMHz: frequencyMHz } = product;
  const powerMw = rig.powerMw ?? product.powerMw;
  const { heightFixedM, heightMobileM } = rig;
  if (
    requiredDbm === undefined ||
    frequencyMHz === undefined ||
    powerMw === undefined ||
    heightFixedM === undefined ||
    heightMobileM === undefined
  )
    return undefined;
  return {
    frequencyMHz,
    eirpDbm: 10 * Math.log10(powerMw) - (rig.feederLossDb ?? 0) - (rig.bodyLossDb ?? 0),
    receiveGainDbi: rig.antennaGainDbi ?? 0,
    requiredDbm,
    heightsM: [heightFixedM, heightMobileM],
  };
}

/** What simulated gear plays of a product that does not state it: invented, like all that it plays. */
const INVENTED = { bandMHz: 2400, powerMw: 10, heightM: 1.5 } as const;

/** The simulated gear that plays a product on a rig. */
export const simulatedGearOf = (product: Product, rig: Rig): SimulatedGear => ({
  productSeed: product.id,
  frequencyMHz: product.bandMHz ?? INVENTED.bandMHz,
  eirpDbm: 10 * Math.log10(rig.powerMw ?? product.powerMw ?? INVENTED.powerMw) - (rig.feederLossDb ?? 0),
  receiveGainDbi: rig.antennaGainDbi ?? 0,
  requiredDbm: product.simulatedGear.requiredDbm,
  heightsM: [rig.heightFixedM ?? INVENTED.heightM, rig.heightMobileM ?? INVENTED.heightM],
  bodyLossDb: [product.simulatedGear.bodyLossOutDb, product.simulatedGear.bodyLossBackDb],
});
