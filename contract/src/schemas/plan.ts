import * as yup from 'yup';
import { INTERFERENCE_TESTS, WALK_MODES, WANTED_CRITERIA } from '@urvek/core';
import { finite, words, id, known, name } from './fields.ts';

/** What else is on the air at a site, before or after the walks, at one end. */
export const surveyRowSchema = yup
  .object({
    when: yup
      .string()
      .oneOf(['before', 'after'] as const)
      .required(),
    end: yup
      .string()
      .oneOf(['fixed', 'mobile'] as const)
      .required(),
    frequencyMHz: finite('Frequency').moreThan(0, 'Frequency must be above 0 MHz').max(300_000),
    levelDbm: finite('Level').min(-200).max(100),
    what: words(120),
  })
  .noUnknown();

/**
 * A cabled or shielded test with interference: its result is a ratio of wanted to unwanted, never a range.
 */
export const interferenceSchema = yup
  .object({
    id: id(),
    label: name('Source'),
    test: yup.string().oneOf(INTERFERENCE_TESTS).required(),
    frequencyMHz: finite('Frequency').moreThan(0, 'Frequency must be above 0 MHz').max(300_000),
    sourceDbm: known('Source', -200).max(60),
    sweep: words(120),
    duty: finite('Duty').moreThan(0, 'Duty is a share above 0').max(1, 'Duty is a share up to 1'),
    toFixed: known('To the fixed end').moreThan(0, 'To the fixed end must be above 0'),
    toMobile: known('To the mobile end').moreThan(0, 'To the mobile end must be above 0'),
    wantedAtFixedDbm: known('Wanted at the fixed end', -200),
    wantedAtMobileDbm: known('Wanted at the mobile end', -200),
  })
  .noUnknown();

export const planSchema = yup
  .object({
    walksEach: finite('Walks of each product').integer().min(0).max(100),
    /** How the walks are logged, unless another way is chosen at the begin; absent: continuous. */
    mode: yup.string().oneOf(WALK_MODES),
    criterion: yup.string().oneOf(WANTED_CRITERIA).required(),
    /**
     * The ratio of distances worth telling apart, and the spread of walks reckoned with (s.d. of ln
     * distance).
     */
    ratio: finite('Ratio').moreThan(1, 'A ratio worth telling is above 1').max(100),
    sigma: finite('Spread').moreThan(0, 'Spread must be above 0').max(3),
    startTime: yup
      .string()
      .required()
      .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, 'Write the start as 09:30'),
    setUpMin: finite('Set-up').min(0).max(600),
    /** Who is where, and by which second way they can call. */
    atFixedEnd: words(),
    atMobileEnd: words(),
    secondChannel: words(),
    /** Rigs and paths that take part; absent: the first rig of every product, and every path. */
    rigIds: yup.array(id()).default(undefined).optional(),
    pathIds: yup.array(id()).default(undefined).optional(),
    /** Day of the walks, for daylight ("2026-05-12"), and hours at hand. */
    day: yup.string().matches(/^(\d{4}-\d\d-\d\d)?$/, 'Write the day as 2026-05-12'),
    hoursAtHand: known('Time at hand'),
    /**
     * One more walk of each rig with its units exchanged between the ends: tells a deaf receiver from a
     * weak transmitter.
     */
    swapEnds: yup.boolean(),
    /** The products of a round are walked together, on one transmission or side by side. */
    sideBySide: yup.boolean(),
    /** The first rig of each path again at the end: has the day changed the result? */
    repeatBaseline: yup.boolean(),
    /** Product names are sealed behind letters until the walks are in. */
    blind: yup.boolean(),
  })
  .noUnknown();

export type SurveyRow = yup.InferType<typeof surveyRowSchema>;
