type Loose = Record<string, unknown>;

const listOf = (value: unknown): Loose[] => (Array.isArray(value) ? (value as Loose[]) : []);

/** What a new rig was filled with before version 3; where all of it stands untouched, nobody entered it. */
const FILLED_RIG = {
  channel: 'automatic',
  antennaPlace: 'on the device',
  heightFixedM: 1.5,
  heightMobileM: 1.5,
} as const;
/** And a new product. */
const FILLED_PRODUCT = { bandMHz: 2400, powerMw: 10 } as const;

const isFilled = (value: Loose, filling: Loose): boolean =>
  Object.entries(filling).every(([key, filled]) => value[key] === filled);

const without = (value: Loose, keys: readonly string[]): Loose =>
  Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key)));

/** A rig whose fields are as they were filled states none of them. */
const rigOf = (rig: Loose): Loose =>
  isFilled(rig, FILLED_RIG)
    ? {
        ...without(rig, [
          'antennaPlace',
          'heightFixedM',
          'heightMobileM',
          ...(rig.playoutDelayS === 0 ? ['playoutDelayS'] : []),
        ]),
        channel: '',
      }
    : rig;

/**
 * A set-up of version 2 as one of version 3: simulated gear has its name, and what a form had filled in, and
 * nobody touched, is not stated.
 */
export function setupFromVersion2(setup: Loose): Loose {
  return {
    ...setup,
    products: listOf(setup.products).map((product) => {
      const { standIn, ...rest } = product;
      const rigs = listOf(product.rigs);
      const untouched = isFilled(product, FILLED_PRODUCT) && rigs.every((rig) => isFilled(rig, FILLED_RIG));
      return {
        ...(untouched ? without(rest, Object.keys(FILLED_PRODUCT)) : rest),
        ...(standIn === undefined ? {} : { simulatedGear: standIn }),
        rigs: rigs.map(rigOf),
      };
    }),
  };
}

/**
 * A walk of version 2 as one of version 3. One that came from a table was given seconds, a beginning at the
 * fixed end and a day that the table did not state: its marks are all unpressed and named by their own
 * distance, and its clock begins with its walk.
 */
export function walkFromVersion2(walk: Loose): Loose {
  const log = listOf(walk.log);
  const [begin] = log;
  const marks = log.filter((e) => e.kind === 'mark');
  const body = (e: Loose | undefined): Loose => (e?.body ?? {}) as Loose;
  const fromTable =
    begin?.kind === 'begin' &&
    body(begin).simulatedSeed === undefined &&
    marks.length > 0 &&
    marks.every((e) => {
      const { reading, name } = body(e) as { reading?: Loose; name?: string };
      return reading?.pressed === false && name === `${Number(reading.travelledM).toFixed(1)} m`;
    });
  if (!fromTable) return walk;
  return {
    ...walk,
    header: { ...(walk.header as Loose), undated: true },
    log: log.map((e) =>
      e === begin
        ? {
            ...e,
            body: { ...without(body(e), ['baselineGrade', 'reading', 'playoutDelayS']), untimed: true },
          }
        : e,
    ),
  };
}
