const rules = new Intl.PluralRules('en');
const figures = new Intl.NumberFormat('en', { useGrouping: 'min2' });

/** The word that agrees with a number: one, or many of it (with an s unless said). */
export const plural = (n: number, one: string, many = `${one}s`): string =>
  rules.select(n) === 'one' ? one : many;

/** "1 walk", "3 walks", "12,000 entries". */
export const countOf = (n: number, one: string, many?: string): string =>
  `${figures.format(n)} ${plural(n, one, many)}`;
