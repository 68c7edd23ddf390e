import { GRADES, type Saying } from '@urvek/core';
import * as yup from 'yup';
import {
  acknowledgedSchema,
  latencySchema,
  needSchema,
  quotedSchema,
  reportSchema,
  stationSchema,
} from './judging.ts';
import { pathSchema } from './path.ts';
import { planSchema, surveyRowSchema, interferenceSchema } from './plan.ts';
import { productSchema } from './product.ts';

const unique = (what: string) =>
  [
    'unique',
    `two ${what} share a name`,
    (list: { name?: string }[] | undefined) => new Set(list?.map((x) => x.name)).size === (list?.length ?? 0),
  ] as const;

/** What words stand for in this comparison, before the usual table: corrected, or added. */
const sayingSchema = yup
  .object({
    words: yup.string().trim().required().max(120),
    grade: yup.number().oneOf(GRADES).required(),
    /** It is asked each time. */
    unsure: yup.boolean().oneOf([true] as const) as yup.Schema<true | undefined>,
  })
  .noUnknown() as unknown as yup.ObjectSchema<Saying>;

/** Kit, paths and plan of a comparison: one document, replaced whole. */
export const setupSchema = yup
  .object({
    products: yup
      .array(productSchema)
      .required()
      .max(40)
      .test(...unique('products')),
    paths: yup
      .array(pathSchema)
      .required()
      .max(40)
      .test(...unique('paths')),
    plan: planSchema.required(),
    survey: yup.array(surveyRowSchema).default(undefined).optional().max(2000),
    interference: yup.array(interferenceSchema).default(undefined).optional().max(50),
    needs: yup.array(needSchema).default(undefined).optional().max(100),
    quoted: yup.array(quotedSchema).default(undefined).optional().max(200),
    latency: yup.array(latencySchema).default(undefined).optional().max(200),
    stations: yup.array(stationSchema).default(undefined).optional().max(100),
    acknowledged: yup.array(acknowledgedSchema).default(undefined).optional().max(300),
    /** The currency that costs are in. */
    currency: yup.string().max(8),
    report: reportSchema.default(undefined).optional(),
    sayings: yup.array(sayingSchema).default(undefined).optional().max(500),
  })
  .noUnknown();
export type Setup = yup.InferType<typeof setupSchema>;

export const EMPTY_SETUP: Setup = {
  products: [],
  paths: [],
  plan: {
    walksEach: 4,
    criterion: 'by kind',
    ratio: 1.25,
    sigma: 0.2,
    startTime: '09:30',
    setUpMin: 10,
    atFixedEnd: '',
    atMobileEnd: '',
    secondChannel: '',
  },
};
