import * as phrases from './phrases.ts';

/** The figures behind a chart. */
export interface ChartTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/** The figures of a chart as a table, for who does not see it. */
export const ChartFigures = ({ table, label }: { table: ChartTable; label: string }) => (
  <div className="max-h-64 overflow-auto" tabIndex={0} role="group" aria-label={phrases.figuresOf(label)}>
    <table className="table">
      <thead>
        <tr>
          {table.header.map((h) => (
            <th key={h}>{h}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((r, i) => (
          <tr key={i}>
            {r.map((c, k) => (
              <td key={k} className={typeof c === 'number' ? 'figure' : ''}>
                {c}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);
