import * as yup from 'yup';

/** Deeper than this nothing of ours goes; what does is refused before it is looked at. */
const DEEPEST = 100;

/** Half of a surrogate pair, or NUL: neither a database nor a file of UTF-8 can hold them. */
const NO_TEXT = /\u0000|\p{Surrogate}/u;
const isText = (text: string): boolean => !NO_TEXT.test(text);

/**
 * Where the first text stands that is none, in what was parsed from JSON; undefined where all of it is text. Keys
 * count like values; what is nested deeper than anything of ours counts as bad where it gets too deep.
 */
export function badTextAt(value: unknown): string | undefined {
  const open: { readonly value: unknown; readonly at: string; readonly deep: number }[] = [
    { value, at: '', deep: 0 },
  ];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: here, at, deep } = next;
    if (typeof here === 'string') {
      if (!isText(here)) return at;
    } else if (typeof here === 'object' && here !== null) {
      if (deep > DEEPEST) return at;
      for (const [key, inner] of Object.entries(here)) {
        if (!isText(key)) return at;
        open.push({ value: inner, at: at === '' ? key : `${at}.${key}`, deep: deep + 1 });
      }
    }
  }
  return undefined;
}

/** The same question without the place: no list of what is open, no names put together. */
function allText(value: unknown, deep: number): boolean {
  if (typeof value === 'string') return isText(value);
  if (typeof value !== 'object' || value === null) return true;
  if (deep > DEEPEST) return false;
  if (Array.isArray(value)) return value.every((inner) => allText(inner, deep + 1));
  for (const key in value)
    if (!isText(key) || !allText((value as Readonly<Record<string, unknown>>)[key], deep + 1)) return false;
  return true;
}

/** @throws yup.ValidationError naming the field whose text no database can hold. */
export function checkTexts(value: unknown): void {
  // Nearly all is text: where a bad one stands is looked for only when there is one.
  if (allText(value, 0)) return;
  const at = badTextAt(value);
  if (at !== undefined)
    throw new yup.ValidationError(
      `${at || 'the text'} holds a sign that is no text (half of a pair, or NUL), or is nested too deep`,
    );
}

/** The first so many signs, none of them cut in half. */
export const cutText = (text: string, most: number): string =>
  text.length <= most ? text : [...text].slice(0, most).join('');
