import { pathLengthM, type Path } from '@urvek/core';
import { smallTape, travelledGround } from '@urvek/draw';
import { farthestM, type SetupPath } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { Picture } from '../../components/Picture.tsx';
import { useListKeys } from '../../components/useListKeys.ts';
import * as phrases from './phrases.ts';

/** Those of the whole path, and those that have a place: that is told by the tape. */
const hazardsText = ({ hazards, hazardsAt = [] }: SetupPath): string =>
  [...(hazards === '' ? [] : [hazards]), ...hazardsAt.map((h) => h.what)].join('; ');

const TAPE_PX = 430;

/** Every path in a line, its small tape on one scale with the others. */
export function PathList({
  paths,
  wrong,
  selected,
  onSelect,
}: {
  /** As they can be drawn; undefined: an entry of it needs correcting. */
  paths: readonly { readonly id: string; readonly name: string; readonly drawn: SetupPath | undefined }[];
  wrong: ReadonlySet<number>;
  selected: string | undefined;
  onSelect: (id: string) => void;
}) {
  const [list, onKey] = useListKeys<HTMLTableSectionElement>(
    paths.map((p) => p.id),
    onSelect,
  );
  const mostM = Math.max(1, ...paths.flatMap((p) => (p.drawn ? [pathLengthM(p.drawn)] : [])));
  return (
    <div className="sheet relative mb-2 max-h-[40vh] overflow-auto" data-path-list>
      <table className="w-full border-collapse" aria-label={phrases.paths}>
        <thead className="sticky top-0 z-10 bg-sheet text-[0.87rem] shadow-[0_2px_0_var(--color-ink)]">
          <tr>
            <th scope="col" className="px-2">
              {phrases.path}
            </th>
            <th scope="col" className="px-2">
              {phrases.condition}
            </th>
            <th scope="col" className="px-2 text-right">
              {phrases.way}
            </th>
            <th scope="col" className="px-2 text-right">
              {phrases.farthest}
            </th>
            <th scope="col" className="px-2" style={{ width: TAPE_PX + 16 }}>
              {phrases.onOneScale}
            </th>
            <th scope="col" className="px-2 text-right">
              {phrases.points2}
            </th>
            <th scope="col" className="px-2">
              {phrases.hazards}
            </th>
          </tr>
        </thead>
        <tbody ref={list}>
          {paths.map(({ id, name, drawn }, i) => {
            const on = id === selected;
            return (
              <tr
                key={id}
                onClick={() => onSelect(id)}
                className={
                  'cursor-pointer border-t border-rule ' +
                  `${on ? 'bg-white outline-[3px] -outline-offset-3 outline-accent' : 'hover:bg-white'}`
                }
              >
                <th scope="row" className="px-2 py-0.5">
                  <button
                    type="button"
                    data-line={id}
                    tabIndex={on ? 0 : -1}
                    aria-pressed={on}
                    className="min-h-7 text-left font-bold"
                    onKeyDown={(e) => onKey(e, i)}
                  >
                    {name === '' ? phrases.newPath : name}
                  </button>
                  {wrong.has(i) && (
                    <span className="ml-2 text-[0.87rem] text-lost">{phrases.needsCorrecting}</span>
                  )}
                </th>
                <td className="px-2">
                  {drawn?.condition === 'unstated' ? phrases.notStated : drawn?.condition}
                </td>
                <td className="figure px-2 text-right">{drawn && <Length m={pathLengthM(drawn)} />}</td>
                <td className="figure px-2 text-right">{drawn && <Length m={farthestM(drawn)} />}</td>
                <td className="px-2">
                  {drawn && (
                    <Picture
                      scene={smallTape(name, travelledGround(drawn as Path), mostM, TAPE_PX)}
                      className="block"
                      style={{ width: TAPE_PX }}
                    />
                  )}
                </td>
                <td className="figure px-2 text-right">{drawn?.checkpoints.length}</td>
                <td className="px-2 text-[0.87rem]">{drawn && hazardsText(drawn)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
