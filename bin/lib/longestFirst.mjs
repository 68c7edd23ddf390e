import { statSync } from 'node:fs';

/** Files that wait long for a browser or a process: begun first, none of them is left over at the end. */
const LONG = ['manyWalks', 'accessibility', 'start', 'publish', 'touch', 'wholeWay', 'planted', 'walkers'];

const rankOf = (path) => {
  const at = LONG.findIndex((name) => path.endsWith(`/${name}.test.ts`));
  return at === -1 ? LONG.length : at;
};

/** The order of test files: Jest knows how long each took only on a machine where they ran before. */
export default class LongestFirst {
  sort(tests) {
    const size = new Map(tests.map((t) => [t.path, statSync(t.path).size]));
    return [...tests].sort((a, b) => rankOf(a.path) - rankOf(b.path) || size.get(b.path) - size.get(a.path));
  }

  allFailedTests(tests) {
    return tests;
  }

  cacheResults() {
    // Nothing is kept from run to run: each is the first.
  }
}
