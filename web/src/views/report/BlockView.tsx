import type { Comparison } from '@urvek/contract';
import type { Carried } from '@urvek/core';
import { sceneToSvg, type ShownBlock } from '@urvek/draw';
import { SaveAs } from '../../components/Chart.tsx';
import { Picture } from '../../components/Picture.tsx';
import { BlockCell } from './BlockCell.tsx';
import { WordedText } from './WordedText.tsx';

/** One block of the report on screen and paper. */
export function BlockView({
  block,
  comparison,
  carried,
}: {
  block: ShownBlock;
  comparison: Comparison | undefined;
  carried: Carried;
}) {
  switch (block.kind) {
    case 'paragraph':
      return <WordedText worded={block} comparison={comparison} carried={carried} paragraph />;
    case 'list':
      return block.items.length === 0 ? null : (
        <ul className="list-disc pl-5">
          {block.items.map((item) => (
            <li key={item.id}>
              <WordedText worded={item} comparison={comparison} carried={carried} />
            </li>
          ))}
        </ul>
      );
    case 'table':
      return (
        <div className="overflow-x-auto">
          <table className="table">
            <caption className="sr-only">{block.caption}</caption>
            <thead>
              <tr>
                {block.head.map((h) => (
                  <th key={h}>{h}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map((row, i) => (
                <tr key={i}>
                  {row.cells.map((cell, k) => (
                    <td key={k}>
                      <BlockCell text={cell} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      );
    case 'figure':
      return (
        <figure>
          <Picture scene={block.scene} />
          <figcaption className="text-[0.87rem] text-faint">
            <WordedText worded={block.caption} comparison={comparison} carried={carried} />
          </figcaption>
          <SaveAs
            name={block.name}
            svg={() => sceneToSvg(block.scene)}
            size={() => [block.scene.width, block.scene.height]}
          />
        </figure>
      );
  }
}
