import type { Setup } from '@urvek/contract';
import { planBalance } from '@urvek/study';
import * as phrases from './phrases.ts';

/** How often each product leads among those that it is compared with. */
export function Balance({ setup }: { setup: Setup }) {
  const table = planBalance(setup).filter((kind) => kind.products.length > 1);
  const uneven = table.filter((kind) => setup.plan.walksEach % kind.balancedAfter !== 0);
  return (
    <div className="min-w-0">
      <h2>{phrases.balance}</h2>
      {table.length > 0 && (
        <table className="table mt-1">
          <thead>
            <tr>
              <th>{phrases.product}</th>
              <th>{phrases.leadsOfRounds(setup.plan.walksEach)}</th>
            </tr>
          </thead>
          <tbody>
            {table.flatMap((kind) =>
              kind.products.map((p) => (
                <tr key={p.name}>
                  <td>{p.name}</td>
                  <td className="figure">{p.leads}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      )}
      <p className="mt-1">
        {table.length === 0
          ? phrases.nothingIsComparedWithAnotherOf
          : uneven.length === 0
            ? phrases.everyProductStandsInEveryPlace
            : phrases.notBalancedChooseAMultipleOf(Math.max(...uneven.map((k) => k.balancedAfter)))}
      </p>
    </div>
  );
}
