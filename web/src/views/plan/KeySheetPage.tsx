import { seal } from '@urvek/study';
import { useState } from 'react';
import { Stage } from '../../components/Stage.tsx';
import type { Ready } from '../../components/WithWorkspace.tsx';
import * as phrases from './phrases.ts';

/** Which letter is which product, for who must know it. */
export function KeySheetPage({ id, comparison: { setup, title } }: Ready) {
  const [shown, setShown] = useState(false);
  const letters = seal(setup, id).products;
  return (
    <Stage title={phrases.keySheet2(title)} lead={phrases.forTheOneWhoHandsOut}>
      {!shown ? (
        <button className="btn btn-main" onClick={() => setShown(true)}>
          {phrases.iHandOutTheProductsShow}
        </button>
      ) : (
        <table className="table sheet">
          <thead>
            <tr>
              <th className="pl-3">{phrases.letter}</th>
              <th>{phrases.product}</th>
              <th>{phrases.units}</th>
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
