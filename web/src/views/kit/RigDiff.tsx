import type { Setup } from '@urvek/contract';
import { rigDifferences } from '@urvek/core';
import { useState } from 'react';
import { Choice } from '../../components/Field.tsx';

/** Two rigs side by side: what differs, and how much that is worth in dB. */
export function RigDiff({ products }: { products: Setup['products'] }) {
  const rigs = products.flatMap((p) => p.rigs.map((rig) => ({ name: `${p.name}: ${rig.name}`, rig })));
  const [left, setLeft] = useState(0);
  const [right, setRight] = useState(1);
  const [a, b] = [rigs[Math.min(left, rigs.length - 1)], rigs[Math.min(right, rigs.length - 1)]];
  if (rigs.length < 2 || !a || !b) return null;
  const differences = rigDifferences(a.rig, b.rig);
  const knownDb = differences.reduce((sum, d) => sum + (d.gainDb ?? 0), 0);
  return (
    <section className="sheet mt-4 p-4" aria-label="Rigs side by side">
      <h2>Rigs side by side</h2>
      <div className="mt-1 grid grid-cols-2 gap-4">
        <Choice label="One rig" value={left} onChange={(e) => setLeft(Number(e.target.value))}>
          {rigs.map((r, i) => (
            <option key={r.rig.id} value={i}>
              {r.name}
            </option>
          ))}
        </Choice>
        <Choice label="The other" value={right} onChange={(e) => setRight(Number(e.target.value))}>
          {rigs.map((r, i) => (
            <option key={r.rig.id} value={i}>
              {r.name}
            </option>
          ))}
        </Choice>
      </div>
      {differences.length === 0 ? (
        <p className="mt-2">They are set up alike in everything that is stated.</p>
      ) : (
        <table className="table mt-2">
          <thead>
            <tr>
              <th>Setting</th>
              <th>{a.name}</th>
              <th>{b.name}</th>
              <th>Worth to the second</th>
            </tr>
          </thead>
          <tbody>
            {differences.map((d) => (
              <tr key={d.field}>
                <td>{d.label}</td>
                <td>{d.left}</td>
                <td>{d.right}</td>
                <td>
                  {d.gainDb === undefined ? (
                    <span className="text-faint">not known</span>
                  ) : (
                    <>
                      <span className="figure">
                        {d.gainDb > 0 ? '+' : ''}
                        {d.gainDb.toFixed(1)} dB
                      </span>{' '}
                      <span className="text-faint">({d.basis})</span>
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {knownDb !== 0 && (
        <p className="mt-1">
          Known in all:{' '}
          <strong className="figure">
            {knownDb > 0 ? '+' : ''}
            {knownDb.toFixed(1)} dB
          </strong>
          . A comparison of the products is fair when this is mirrored, or meant.
        </p>
      )}
    </section>
  );
}
