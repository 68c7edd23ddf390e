import * as yup from 'yup';
import {
  CRITERIA,
  DIRECTIONS,
  LATENCY_METHODS,
  LENGTH_UNITS,
  parseFigureNeed,
  parseLength,
  PROVENANCES,
  QUANTITIES,
  SIDES,
} from '@urvek/core';
import { finite, id, known, name, words } from './fields.ts';

function readsAsFigure(text: string | undefined): boolean {
  try {
    return text !== undefined && Number.isFinite(parseFigureNeed(text).figure);
  } catch {
    return false;
  }
}

function readsAsLength(text: string): boolean {
  try {
    return parseLength(text).valueM > 0;
  } catch {
    return false;
  }
}

/** A use with a distance, a condition and a criterion. */
export const needSchema = yup
  .object({
    id: id(),
    use: name('Need'),
    /** Empty where a figure is asked for and nobody says how far: then that is the question. */
    entered: yup
      .string()
      .defined()
      .max(40)
      .test(
        'length',
        'Distance of the need: write a distance with its unit, as in "30 m" or "100 ft"',
        (text, { parent }) =>
          text === '' ? readsAsFigure((parent as { figure?: string }).figure) : readsAsLength(text),
      ),
    /** "40 Mbit/s", "-75 dBm", "50 ms": what has to be read there; absent: the criterion decides. */
    figure: yup
      .string()
      .max(40)
      .test(
        'figure',
        'Figure of the need: write it with its unit, as in "40 Mbit/s", "-75 dBm" or "50 ms"',
        (text) => text === undefined || readsAsFigure(text),
      ),
    condition: yup
      .string()
      .oneOf(['open', 'obstructed', 'unstated'] as const)
      .required(),
    kindId: yup.string().required().max(64),
    criterion: yup
      .string()
      .oneOf(['by kind', ...CRITERIA] as const)
      .required(),
    /** Absent: whichever way was walked. */
    side: yup.string().oneOf(SIDES),
  })
  .noUnknown();

/** Figures that somebody wrote down, here or elsewhere, beside the logs. */
export const quotedSchema = yup
  .object({
    id: id(),
    productId: yup.string().required('Product is missing').max(64),
    pathId: yup.string().required('Path is missing').max(64),
    source: name('Source'),
    provenance: yup.string().oneOf(PROVENANCES).required(),
    walks: known('Walks', 1).integer('Walks must be whole'),
    /** The unit that the figures were written in; they are kept in metres. */
    unit: yup.string().oneOf(LENGTH_UNITS),
    meanM: known('Mean'),
    bestM: known('Best'),
    worstM: known('Worst'),
    spreadM: known('Spread'),
    failedWithoutDistance: yup.boolean(),
  })
  .noUnknown();

/** Latency: frames counted, or a filmed clock read beside the screen that shows it. */
export const latencySchema = yup
  .object({
    id: id(),
    productId: yup.string().required('Product is missing').max(64),
    method: yup.string().oneOf(LATENCY_METHODS).required(),
    /** Separation at which it was measured; absent: on the bench. */
    distanceM: known('Distance'),
    framesPerS: known('Frame rate').when('method', {
      is: 'frames',
      then: (s) => s.required('Frame rate is missing').moreThan(0, 'Frame rate must be above 0'),
    }),
    frames: yup
      .array(finite('Frames').min(0, 'Frames must be at least 0').required())
      .default(undefined)
      .optional()
      .max(500)
      .when('method', {
        is: 'frames',
        then: (s) => s.required('Frames are missing').min(1, 'Frames are missing'),
      }),
    /** Clock and screen in one picture, ms. */
    readings: yup
      .array(yup.tuple([finite('Clock').required(), finite('Screen').required()]).required())
      .default(undefined)
      .optional()
      .max(500)
      .when('method', {
        is: 'filmed clock',
        then: (s) => s.required('Readings are missing').min(1, 'Readings are missing'),
      }),
    baselineMs: finite('Wired baseline').min(0, 'Wired baseline must be at least 0 ms'),
    refreshHz: known('Refresh').when('method', {
      is: 'filmed clock',
      then: (s) => s.required('Refresh of the screens is missing').moreThan(0, 'Refresh must be above 0 Hz'),
    }),
  })
  .noUnknown();

/** Readings at one place without a walk: before and after, or a sweep of a setting. */
export const stationSchema = yup
  .object({
    id: id(),
    what: name('What was tried'),
    productId: yup.string().required('Product is missing').max(64),
    /** In words; absent: not stated. */
    place: yup.string().max(120),
    quantity: yup.string().oneOf(QUANTITIES).required(),
    direction: yup.string().oneOf(DIRECTIONS),
    /** In the order in which they were taken. */
    readings: yup
      .array(
        yup
          .object({
            setting: yup.string().trim().required('Setting is missing').max(60),
            value: finite('Value'),
          })
          .noUnknown(),
      )
      .required()
      .max(500),
  })
  .noUnknown();

/** A finding of the audits that was looked at and left, with the reason that is printed. */
export const acknowledgedSchema = yup
  .object({
    key: yup.string().required().max(300),
    reason: yup.string().trim().required('Say why it is left as it is').max(500),
  })
  .noUnknown();

/** What is left out of whatever leaves this Urvek. */
export const withheldSchema = yup
  .object({
    coordinates: yup.boolean().required(),
    /** Names of people and of the site, permissions. */
    names: yup.boolean().required(),
    notes: yup.boolean().required(),
    /** Call signs and other words, replaced wherever they stand. */
    words: yup
      .array(yup.string().trim().required().min(2, 'A word to leave out has at least two letters').max(60))
      .required()
      .max(50),
  })
  .noUnknown();

export const reportSchema = yup
  .object({
    /** Who paid, who lent the gear. */
    disclosure: words(1000),
    /** Own wording of a sentence or a caption, by its id; the others are made from the figures. */
    wording: yup
      .array(
        yup
          .object({
            // A section, what a sentence of it rests on first, and its number: three or four ids of 36 signs.
            id: yup.string().required().max(400),
            text: yup.string().required().max(2000),
            /** What the figures said when it was worded, and when that was; absent in what earlier versions kept. */
            made: yup.string().max(4000),
            atMs: yup.number(),
          })
          .noUnknown(),
      )
      .required()
      .max(200),
    withheld: withheldSchema.required(),
  })
  .noUnknown();

export const costSchema = yup
  .object({ what: name('What it is'), amount: finite('Price').min(0, 'Price must be at least 0') })
  .noUnknown();

export type Need = yup.InferType<typeof needSchema>;
export type QuotedRow = yup.InferType<typeof quotedSchema>;
export type StationRow = yup.InferType<typeof stationSchema>;
export type LatencyRow = yup.InferType<typeof latencySchema>;
export type Withheld = yup.InferType<typeof withheldSchema>;
export type ReportSettings = yup.InferType<typeof reportSchema>;

export const NOTHING_WITHHELD: Withheld = { coordinates: false, names: false, notes: false, words: [] };
export const PLAIN_REPORT: ReportSettings = {
  disclosure: '',
  wording: [],
  withheld: { ...NOTHING_WITHHELD, coordinates: true },
};
