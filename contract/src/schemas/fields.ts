import * as yup from 'yup';

export const id = () =>
  yup
    .string()
    .required()
    .matches(/^[A-Za-z0-9-]{1,64}$/);
export const name = (what: string) => yup.string().trim().required(`${what} needs a name`).max(120);
export const finite = (what: string) =>
  yup
    .number()
    .required(`${what} is missing`)
    .typeError(`${what} is not a number`)
    .test('finite', `${what} is not a number`, (v) => Number.isFinite(v));
export const words = (most = 120) => yup.string().max(most).defined();
/** A figure that may be unknown; unknown is not zero. */
export const known = (what: string, least = 0) =>
  yup
    .number()
    .typeError(`${what} is not a number`)
    .test('finite', `${what} is not a number`, (v) => v === undefined || Number.isFinite(v))
    .min(least, `${what} must be at least ${least}`);
