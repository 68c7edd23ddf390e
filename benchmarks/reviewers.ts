// npm run bench:reviewers: what 100 and 10,000 reviewers ask of servers and a database in the busiest hour of a week,
// by simulation. What a piece of work takes is after what was measured; what reviewers do is assumed, and stands
// below.
import { seeded, type Random } from '@urvek/core';

/** Assumed: what a reviewer does in a week, and how much of it falls into its busiest hour. */
const WEEK = {
  walks: 12,
  walkS: 900,
  /** A phone sends what it has so often while one walks, s. */
  sendsEveryS: 2,
  /** Stages opened, each with so many requests. */
  stages: 120,
  requestsAStage: 6,
  /** The busiest hour has so much of the week: a Saturday afternoon, at four times the mean of 40 hours. */
  busiest: 4 / 40,
} as const;

/**
 * Mean times, ms, of a server's thread and of the database with its disk, after what was measured on one machine: 6.4
 * ms a call that appends (`bench:sync`), 20 to 60 ms a page (`bench:storage`), 1.4 ms to work a walk out.
 */
const TAKES = {
  append: { serverMs: 4, databaseMs: 2 },
  request: { serverMs: 30, databaseMs: 8 },
  /** A finished walk worked out from its log and kept. */
  finding: { serverMs: 4, databaseMs: 4 },
} as const;
type Kind = keyof typeof TAKES;

/** The database works on so many at once. */
const DATABASE_WIDE = 8;
const HORIZON_S = 300;
const GOAL_MS = 100;

/** Arrivals of a kind in a second, in the busiest hour. */
function ratesOf(reviewers: number): Record<Kind, number> {
  const anHour = (aWeek: number): number => (reviewers * aWeek * WEEK.busiest) / 3600;
  return {
    append: anHour((WEEK.walks * WEEK.walkS) / WEEK.sendsEveryS),
    request: anHour(WEEK.stages * WEEK.requestsAStage),
    finding: anHour(WEEK.walks),
  };
}

/**
 * Whoever is free first takes the next; work of one kind varies as an exponential does, which is more than was
 * measured.
 */
function queue(width: number): (atMs: number, takesMs: number) => number {
  const freeAt = new Float64Array(width);
  return (atMs, takesMs) => {
    let first = 0;
    for (let i = 1; i < width; i++) if ((freeAt[i] as number) < (freeAt[first] as number)) first = i;
    return (freeAt[first] = Math.max(atMs, freeAt[first] as number) + takesMs);
  };
}

const waitOf = (random: Random, rate: number): number => -Math.log(1 - random.uniform()) / rate;

/** How long answers take, ms, sorted; and how busy both are. */
function simulate(
  reviewers: number,
  servers: number,
): { answersMs: Float64Array; busy: number; database: number } {
  const rates = Object.entries(ratesOf(reviewers)) as [Kind, number][];
  const all = rates.reduce((sum, [, rate]) => sum + rate, 0);
  const random = seeded('reviewers', reviewers);
  const [server, database] = [queue(servers), queue(DATABASE_WIDE)];
  const answers: number[] = [];
  let [serverMs, databaseMs] = [0, 0];
  for (let atS = waitOf(random, all); atS < HORIZON_S; atS += waitOf(random, all)) {
    let pick = all * random.uniform();
    const [kind] = rates.find(([, rate]) => (pick -= rate) < 0) ?? (rates[0] as [Kind, number]);
    const here = waitOf(random, 1 / TAKES[kind].serverMs);
    const there = waitOf(random, 1 / TAKES[kind].databaseMs);
    serverMs += here;
    databaseMs += there;
    answers.push(database(server(1000 * atS, here), there) - 1000 * atS);
  }
  return {
    answersMs: Float64Array.from(answers).sort(),
    busy: serverMs / (1000 * HORIZON_S * servers),
    database: databaseMs / (1000 * HORIZON_S * DATABASE_WIDE),
  };
}

for (const reviewers of [100, 1000, 10_000]) {
  const rates = ratesOf(reviewers);
  console.log(
    `${reviewers} reviewers, busiest hour: ${rates.append.toFixed(1)} batches, ` +
      `${rates.request.toFixed(1)} requests, ${rates.finding.toFixed(2)} finished walks a second`,
  );
  for (const servers of [1, 2, 4, 8, 16]) {
    const { answersMs, busy, database } = simulate(reviewers, servers);
    const at = (share: number): string =>
      (answersMs[Math.floor(share * (answersMs.length - 1))] ?? NaN).toFixed(0);
    const takes = busy < 1 ? `an answer takes ${at(0.5)} ms (median), ${at(0.99)} ms (p99)` : 'falls behind';
    console.log(
      `  ${String(servers).padStart(2)} server processes: ${(100 * busy).toFixed(0).padStart(4)} % ` +
        `busy, database ${(100 * database).toFixed(0)} %; ${takes}`,
    );
    if (Number(at(0.99)) <= GOAL_MS) break;
  }
}
