import type { PathLink, SimulatedGear } from '@urvek/core';
import type { Product, Rig } from '@urvek/contract';

/**
 * The link of a product on a rig, for predictions; undefined until it is said what level the receiver needs.
 */
export const pathLinkOf = (product: Product, rig: Rig): PathLink | undefined =>
  product.sensitivityDbm === undefined
    ? undefined
    : {
        frequencyMHz: product.bandMHz,
        eirpDbm:
          10 * Math.log10(rig.powerMw ?? product.powerMw) - (rig.feederLossDb ?? 0) - (rig.bodyLossDb ?? 0),
        receiveGainDbi: rig.antennaGainDbi ?? 0,
        requiredDbm: product.sensitivityDbm,
        heightsM: [rig.heightFixedM, rig.heightMobileM],
      };

/** The simulated gear that plays a product on a rig. */
export const simulatedGearOf = (product: Product, rig: Rig): SimulatedGear => ({
  productSeed: product.id,
  frequencyMHz: product.bandMHz,
  eirpDbm: 10 * Math.log10(rig.powerMw ?? product.powerMw) - (rig.feederLossDb ?? 0),
  receiveGainDbi: rig.antennaGainDbi ?? 0,
  requiredDbm: product.standIn.requiredDbm,
  heightsM: [rig.heightFixedM, rig.heightMobileM],
  bodyLossDb: [product.standIn.bodyLossOutDb, product.standIn.bodyLossBackDb],
});
