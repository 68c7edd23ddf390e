const STAGE = /^\/c\/([0-9a-f-]{36})(?:\/([a-z]+))?/i;

const HERE = new Intl.DateTimeFormat().resolvedOptions().timeZone;

/** What a stage asks of a comparison that the base answers for, in the words in which its page asks it. */
const ASKED: Readonly<Record<string, readonly string[]>> = {
  // In metres and the days of this machine, as most are read.
  report: [`report?form=long&unit=m&zone=${encodeURIComponent(HERE)}&open=yes`],
  plan: ['planBoard?open=yes'],
  ranges: ['judgement?criterion=by+kind&open=yes'],
  verdict: ['judgement?open=yes'],
};

/**
 * What a page will ask as soon as its program is there: the browser is told of it with the page, and fetches both at
 * once. Under which addresses; none for a page that begins with nothing.
 */
export function foreseenBy(path: string, isAnswered: (comparisonId: string) => boolean): string[] {
  const [, id, stage = ''] = STAGE.exec(path) ?? [];
  if (id === undefined) return [];
  const at = `/api/comparisons/${id}`;
  const answers = isAnswered(id) ? ['overview?open=yes', ...(ASKED[stage] ?? [])] : [];
  return [at, `${at}/state`, ...answers.map((asked) => `${at}/answers/${asked}`)];
}

export const preload = (address: string): string => `<${address}>; rel=preload; as=fetch; crossorigin`;
