import { seal } from '@urvek/study';
import { useState } from 'react';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';

/** Which letter is which product, for who must know it. */
export function KeySheetPage({ id, comparison: { setup, title } }: Ready) {
  const [shown, setShown] = useState(false);
  const letters = seal(setup, id).products;
  return (
    <Stage
      title={`Key sheet: ${title}`}
      lead="For the one who hands out the products. Whoever judges by ear or eye does not look here."
    >
      {!shown ? (
        <button className="btn btn-main" onClick={() => setShown(true)}>
          I hand out the products: show the key
        </button>
      ) : (
        <table className="table sheet">
          <thead>
            <tr>
              <th className="pl-3">Letter</th>
              <th>Product</th>
              <th>Units</th>
            </tr>
          </thead>
          <tbody>
            {setup.products.map((p, i) => (
              <tr key={p.id}>
                <td className="pl-3 font-bold">{letters[i]?.name}</td>
                <td>{p.name}</td>
                <td>{p.units.map((u) => u.label).join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Stage>
  );
}
