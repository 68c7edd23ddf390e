/** What a reading came by; absent: nobody noted it, which is no change. */
export interface CameBy {
  readonly band: string | undefined;
  readonly cell: string | undefined;
  /** So many hand-overs had the walker noticed by then on this walk; absent: none. */
  readonly noticed?: number;
}

/** Readings one after the other that came by one band, channel, cell or access point. */
export interface Part<T> {
  readonly by: CameBy;
  readonly rows: readonly T[];
}

/** Where it changed: between the last reading of one and the first of the other. */
export interface HandOver<T> {
  readonly from: CameBy;
  readonly to: CameBy;
  readonly last: T;
  readonly first: T;
  /** The readings say it; the walker's entry can say it as well, or alone. */
  readonly byReadings: boolean;
}

/** "5 GHz, kitchen"; undefined where nobody noted it. */
export const cameByText = ({ band, cell }: CameBy): string | undefined => {
  const said = [band, cell].filter((t) => t !== undefined);
  return said.length === 0 ? undefined : said.join(', ');
};

const differs = (known: string | undefined, next: string | undefined): boolean =>
  known !== undefined && next !== undefined && known.trim().toLowerCase() !== next.trim().toLowerCase();

const same = (known: string | undefined, next: string | undefined): boolean =>
  known !== undefined && next !== undefined && !differs(known, next);

/** The walker noticed a hand-over in between, and the readings do not say that they came by the same as before. */
const noticedBetween = (part: CameBy, last: CameBy | undefined, row: CameBy): boolean =>
  (row.noticed ?? 0) > (last?.noticed ?? 0) && !same(part.band, row.band) && !same(part.cell, row.cell);

/**
 * A change of band, channel, cell or access point splits the readings of a walk, in walking order, and so does a
 * hand-over that the walker noticed. A band that nobody noted is unknown, not another: it belongs to the part before
 * it, and at the beginning to the part after.
 */
export function partsOf<T extends CameBy>(
  rows: readonly T[],
): { readonly parts: readonly Part<T>[]; readonly handOvers: readonly HandOver<T>[] } {
  const parts: { by: CameBy; rows: T[] }[] = [];
  const handOvers: HandOver<T>[] = [];
  for (const row of rows) {
    const part = parts.at(-1);
    const last = part?.rows.at(-1);
    const byReadings =
      part !== undefined && (differs(part.by.band, row.band) || differs(part.by.cell, row.cell));
    if (!part || byReadings || noticedBetween(part.by, last, row)) {
      const by = { band: row.band, cell: row.cell };
      if (part && last !== undefined) handOvers.push({ from: part.by, to: by, last, first: row, byReadings });
      parts.push({ by, rows: [row] });
    } else {
      part.rows.push(row);
      part.by = { band: part.by.band ?? row.band, cell: part.by.cell ?? row.cell };
    }
  }
  return { parts, handOvers };
}
