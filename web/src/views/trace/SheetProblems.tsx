import { countOf } from '@urvek/core';
import type { SheetPreview } from '@urvek/study';
import * as phrases from './phrases.ts';

const SHOWN = 12;

/** Rows of a table that cannot be read, each with why. */
export const SheetProblems = ({ preview }: { preview: SheetPreview }) => (
  <section className="sheet mt-4 p-4" aria-label={phrases.inTheWay}>
    <h2>
      {phrases.inTheWayNothingIsImported(countOf(preview.problems.length, phrases.rowIs, phrases.rowsAre))}
    </h2>
    <table className="table mt-1">
      <thead>
        <tr>
          <th>{phrases.line}</th>
          <th>{phrases.column}</th>
          <th>{phrases.what}</th>
        </tr>
      </thead>
      <tbody>
        {preview.problems.slice(0, SHOWN).map((p) => (
          <tr key={`${p.line}-${p.what}`}>
            <td className="figure">{p.line}</td>
            <td>{p.column ?? ''}</td>
            <td>{p.what}</td>
          </tr>
        ))}
      </tbody>
    </table>
    {preview.problems.length > SHOWN && (
      <p className="text-faint">{phrases.andMore2(preview.problems.length - SHOWN)}</p>
    )}
  </section>
);
