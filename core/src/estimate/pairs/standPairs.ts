import { signTest } from '../../numeric/signTest.ts';

/** What one walk found at its stands on the way out. */
export interface HeardWalk {
  readonly outing: string;
  readonly stands: readonly { readonly atM: number; readonly held: boolean }[];
}

/** Two products, or receivers, heard at the same stands on the same outings. */
export interface StandPairs {
  /** Stands that both were heard at; none where all that is known was noted without a place. */
  readonly stands: number;
  /** Stands at which the one held where the other failed. */
  readonly firstOnly: number;
  readonly secondOnly: number;
  readonly outings: number;
  /** Outings on which the last hold of the one was the farther; ties are in neither. */
  readonly firstFarther: number;
  readonly secondFarther: number;
  /** Outings of which it was only noted that the one held where the other failed. */
  readonly noted: { readonly first: number; readonly second: number };
  /**
   * Exact two-sided sign test over outings; absent with one outing: stands of one are not independent, and
   * tell no more than themselves.
   */
  readonly p: number | undefined;
}

/** Stands nearer than this are one, m. */
const SAME_STAND_M = 0.5;

/**
 * Pairs the stands of two products by outing and place; walks of one product on one outing that share a
 * stand agree by "held in all". Where an outing has no shared stand, what was noted of it counts for its
 * sign. Undefined where neither is known.
 * @param noted outings by what was noted of them: 1 the first was the farther, −1 the second, 0 neither
 */
export function pairAtStands(
  first: readonly HeardWalk[],
  second: readonly HeardWalk[],
  noted: ReadonlyMap<string, number> = new Map(),
): StandPairs | undefined {
  const found = [...new Set(first.map((w) => w.outing))].flatMap((outing) => {
    const [a, b] = [first, second].map((walks) => together(walks.filter((w) => w.outing === outing)));
    const shared = (a ?? []).flatMap((x) => {
      const y = b?.find((s) => Math.abs(s.atM - x.atM) <= SAME_STAND_M);
      return y ? [{ atM: x.atM, a: x.held, b: y.held }] : [];
    });
    return shared.length > 0 ? [{ outing, shared }] : [];
  });
  const outings = found.map((f) => f.shared);
  const only = [...noted].filter(([outing]) => !found.some((f) => f.outing === outing)).map(([, s]) => s);
  const all = outings.flat();
  if (all.length === 0 && only.length === 0) return undefined;
  const lastHold = (stands: (typeof outings)[number], who: 'a' | 'b'): number =>
    Math.max(0, ...stands.filter((s) => s[who]).map((s) => s.atM));
  const ahead = [
    ...outings.map((stands) => Math.sign(lastHold(stands, 'a') - lastHold(stands, 'b'))),
    ...only,
  ];
  const [firstFarther, secondFarther] = [
    ahead.filter((s) => s > 0).length,
    ahead.filter((s) => s < 0).length,
  ];
  const signs = firstFarther + secondFarther;
  return {
    stands: all.length,
    firstOnly: all.filter((s) => s.a && !s.b).length,
    secondOnly: all.filter((s) => s.b && !s.a).length,
    outings: ahead.length,
    firstFarther,
    secondFarther,
    noted: { first: only.filter((s) => s > 0).length, second: only.filter((s) => s < 0).length },
    p: ahead.length > 1 && signs > 0 ? signTest(firstFarther, signs) : undefined,
  };
}

function together(walks: readonly HeardWalk[]): { atM: number; held: boolean }[] {
  const stands: { atM: number; held: boolean }[] = [];
  for (const { atM, held } of walks.flatMap((w) => w.stands)) {
    const known = stands.find((s) => Math.abs(s.atM - atM) <= SAME_STAND_M);
    if (known) known.held &&= held;
    else stands.push({ atM, held });
  }
  return stands;
}
