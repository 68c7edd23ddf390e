import { countOf } from '@urvek/core';
import type { SheetPreview } from '@urvek/study';

const SHOWN = 12;

/** Rows of a table that cannot be read, each with why. */
export const SheetProblems = ({ preview }: { preview: SheetPreview }) => (
  <section className="sheet mt-4 p-4" aria-label="In the way">
    <h2>
      {countOf(preview.problems.length, 'row is', 'rows are')} in the way; nothing is imported until all are
      right
    </h2>
    <table className="table mt-1">
      <thead>
        <tr>
          <th>Line</th>
          <th>Column</th>
          <th>What</th>
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
      <p className="text-faint">and {preview.problems.length - SHOWN} more.</p>
    )}
  </section>
);
