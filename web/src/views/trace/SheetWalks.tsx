import { formatLength } from '@urvek/core';
import type { SheetPreview } from '@urvek/study';
import * as phrases from './phrases.ts';

/** A point as it would be imported: where, how good, and from which words. */
function pointText(p: SheetPreview['walks'][number]['points'][number], turned: boolean): string {
  const where = [
    p.name,
    p.reading
      ? `${p.side === 'at' ? '' : `${p.side} `}${formatLength(p.reading.travelledM)}` +
        `${p.reading.uncertaintyM === undefined ? '' : ` ± ${formatLength(2 * p.reading.uncertaintyM)}`}`
      : phrases.placeUnknown,
  ]
    .filter((t) => t !== '')
    .join(', ');
  const found = p.grade === undefined ? phrases.ofText3(p.hits, p.presses) : phrases.grade2(p.grade);
  return `${turned ? phrases.wayBack : ''}${where}: ${found}${p.from === undefined ? '' : ` (“${p.from}”)`}`;
}

/** The walks that a table would become. */
export const SheetWalks = ({ preview }: { preview: SheetPreview }) => (
  <table className="table mt-1">
    <thead>
      <tr>
        <th>{phrases.product}</th>
        <th>{phrases.path}</th>
        <th>{phrases.walk2}</th>
        <th>{phrases.points}</th>
      </tr>
    </thead>
    <tbody>
      {preview.walks.map((w) => (
        <tr key={`${w.product.id}-${w.path.id}-${w.label}`}>
          <td>{w.product.name}</td>
          <td>{w.path.name}</td>
          <td>{w.label}</td>
          <td className="figure">{w.points.map((p, i) => pointText(p, w.backFrom === i)).join('; ')}</td>
        </tr>
      ))}
    </tbody>
  </table>
);
