import { claimLane, reachAxis, scaleFor } from '@urvek/draw';
import type { KitLine } from '@urvek/study';
import { Picture } from '../../components/Picture.tsx';
import { useListKeys } from '../../components/useListKeys.ts';
import { useUnit } from '../../state/unit.ts';
import * as phrases from './phrases.ts';

const LANE_PX = 380;

/** A line a product: kind, claims on one tape, units, rigs, and what nobody stated. */
export function KitList({
  lines,
  wrong,
  selected,
  onSelect,
}: {
  lines: readonly KitLine[];
  /** Products of which an entry needs correcting. */
  wrong: ReadonlySet<number>;
  selected: string | undefined;
  onSelect: (productId: string) => void;
}) {
  const [unit] = useUnit();
  const scale = scaleFor(
    lines.flatMap((l) => l.distances.map((d) => d.atM)),
    LANE_PX,
    unit,
  );
  const [list, onKey] = useListKeys<HTMLTableSectionElement>(
    lines.map((l) => l.product.id),
    onSelect,
  );
  return (
    <div className="sheet relative max-h-[max(12rem,calc(100vh-14rem))] overflow-auto" data-kit-list>
      <table className="w-full border-collapse" aria-label={phrases.products}>
        <thead className="sticky top-0 z-10 bg-sheet text-[0.87rem] shadow-[0_2px_0_var(--color-ink)]">
          <tr>
            <th scope="col" className="px-2">
              {phrases.product}
            </th>
            <th scope="col" className="px-2">
              {phrases.kind}
            </th>
            <th scope="col" className="px-2 font-normal" style={{ width: LANE_PX + 16 }}>
              <Picture scene={reachAxis(scale)} className="block" style={{ width: LANE_PX }} aria-hidden />
              <span className="sr-only">{phrases.claimsOfDistance}</span>
            </th>
            <th scope="col" className="px-2">
              {phrases.alsoClaimed}
            </th>
            <th scope="col" className="px-2 text-right">
              {phrases.units}
            </th>
            <th scope="col" className="px-2 text-right">
              {phrases.rigs}
            </th>
            <th scope="col" className="px-2">
              {phrases.notStated}
            </th>
          </tr>
        </thead>
        <tbody ref={list}>
          {lines.map(({ product, kind, distances, otherClaims, missing }, i) => {
            const on = product.id === selected;
            const name = product.name === '' ? phrases.newProduct : product.name;
            return (
              <tr
                key={product.id}
                onClick={() => onSelect(product.id)}
                className={
                  'cursor-pointer border-t border-rule ' +
                  `${on ? 'bg-white outline-[3px] -outline-offset-3 outline-accent' : 'hover:bg-white'}`
                }
              >
                <th scope="row" className="px-2 py-0.5">
                  <button
                    type="button"
                    data-line={product.id}
                    tabIndex={on ? 0 : -1}
                    aria-pressed={on}
                    className="min-h-7 text-left font-bold"
                    onKeyDown={(e) => onKey(e, i)}
                  >
                    {name}
                  </button>
                  {wrong.has(i) && (
                    <span className="ml-2 text-[0.87rem] text-lost">{phrases.needsCorrecting}</span>
                  )}
                </th>
                <td className="px-2 whitespace-nowrap">{kind}</td>
                <td className="px-2">
                  <Picture
                    scene={claimLane(name, distances, scale, unit)}
                    className="block"
                    style={{ width: LANE_PX }}
                  />
                </td>
                <td className="px-2 text-[0.87rem]">{otherClaims.join('; ')}</td>
                <td className="figure px-2 text-right">{product.units.length}</td>
                <td className="figure px-2 text-right">{product.rigs.length}</td>
                <td className="px-2 text-[0.87rem] text-faint">{missing.join(', ')}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
