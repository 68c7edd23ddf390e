import * as yup from 'yup';
import { type ClaimForm, parseClaim, CLAIM_FORMS, ANTENNA_PLACES, DIRECTIONS, KINDS } from '@urvek/core';
import { id, name, words, finite, known } from './fields.ts';
import { costSchema } from './judging.ts';

const CLAIM_EXAMPLE: Readonly<Record<ClaimForm, string>> = {
  distance: 'write a distance with its unit, as in "100 m" or "328 ft"',
  ratio: 'write a ratio, as in "2×", "8 % farther" or "3 dB"',
  throughput: 'write a throughput, as in "300 Mbit/s"',
  'speed ratio': 'write a ratio of speeds, as in "15×" or "+20 %"',
  latency: 'write a time, as in "50 ms"',
};

function readable(form: ClaimForm, entered: string | undefined): boolean {
  try {
    return parseClaim(form, entered ?? '').value > 0;
  } catch {
    return false;
  }
}

export const claimSchema = yup
  .object({
    id: id(),
    form: yup.string().oneOf(CLAIM_FORMS).required(),
    /** As people write it, unit and all; kept so, and converted when used. */
    entered: yup.string().required('Claim is missing').max(40),
    /** Of a figure that is read each way; absent: nobody says which. */
    direction: yup.string().oneOf(DIRECTIONS),
    /** The product that a ratio is against. */
    against: yup.string().max(64),
    /** One rig of the product, and of the one it is against, where the claim is of rigs. */
    rigId: yup.string().max(64),
    againstRigId: yup.string().max(64),
    upTo: yup.boolean().required(),
    condition: yup
      .string()
      .oneOf(['open', 'obstructed', 'unstated'] as const)
      .required(),
    source: yup.string().max(200).defined(),
  })
  .noUnknown()
  .test(
    'readable',
    'Claim',
    ({ form, entered }, context) =>
      readable(form, entered) ||
      context.createError({ path: `${context.path}.entered`, message: `Claim: ${CLAIM_EXAMPLE[form]}` }),
  );

export const unitSchema = yup.object({ id: id(), label: name('Unit'), history: words(500) }).noUnknown();

export const rigSchema = yup
  .object({
    id: id(),
    name: name('Rig'),
    unitFixedId: id(),
    unitMobileId: id(),
    channel: words(),
    widthMHz: known('Channel width'),
    powerMw: known('Power'),
    gain: words(),
    squelch: words(),
    firmware: words(),
    antenna: words(),
    antennaPlace: yup.string().oneOf(ANTENNA_PLACES),
    antennaGainDbi: known('Antenna gain', -50),
    feederLossDb: known('Feeder loss'),
    orientation: words(),
    bodyPosition: words(),
    bodyLossDb: known('Body loss'),
    heightFixedM: known('Height of the fixed end')
      .moreThan(0, 'Height of the fixed end must be above 0 m')
      .max(200),
    heightMobileM: known('Height of the mobile end')
      .moreThan(0, 'Height of the mobile end must be above 0 m')
      .max(200),
    cables: words(),
    hops: yup.string().max(200),
    playoutDelayS: known('Playout delay').max(30),
    batteryWh: known('Battery'),
    loadW: known('Load').moreThan(0, 'Load must be above 0 W'),
    batteryV: known('Battery voltage'),
    inputMinV: known('Input, least'),
    inputMaxV: known('Input, most'),
  })
  .noUnknown();

/** What the product as simulated gear does; invented, and used for nothing else. */
export const simulatedGearSchema = yup
  .object({
    requiredDbm: finite('Level needed').min(-140).max(0),
    bodyLossOutDb: finite('Body loss out').min(0).max(60),
    bodyLossBackDb: finite('Body loss back').min(0).max(60),
  })
  .noUnknown();

export const productSchema = yup
  .object({
    id: id(),
    name: name('Product'),
    kindId: yup
      .string()
      .oneOf(KINDS.map((k) => k.id))
      .required(),
    bandMHz: known('Band').min(1, 'Band is in MHz').max(300_000),
    powerMw: known('Power').moreThan(0, 'Power must be above 0 mW').max(1e6),
    /** What the maker says the receiver needs; a prediction wants it. */
    sensitivityDbm: known('Level needed', -180),
    claims: yup.array(claimSchema).required().max(20),
    units: yup.array(unitSchema).required().min(1, 'A product needs at least one unit').max(20),
    rigs: yup.array(rigSchema).required().min(1, 'A product needs at least one rig').max(20),
    simulatedGear: simulatedGearSchema.required(),
    /** What it costs, and everything needed to reach its range. */
    costs: yup.array(costSchema).default(undefined).optional().max(30),
  })
  .noUnknown();
export type ProductClaim = yup.InferType<typeof claimSchema>;
export type Unit = yup.InferType<typeof unitSchema>;
export type Rig = yup.InferType<typeof rigSchema>;
export type Product = yup.InferType<typeof productSchema>;

/** A rig of which nothing is known yet. */
export const newRig = (rigId: string, unitId: string): Rig => ({
  id: rigId,
  name: 'Standard',
  unitFixedId: unitId,
  unitMobileId: unitId,
  channel: '',
  gain: '',
  squelch: '',
  firmware: '',
  antenna: '',
  orientation: '',
  bodyPosition: '',
  cables: '',
});
