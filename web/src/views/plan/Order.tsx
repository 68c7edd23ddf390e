import type { SlotState, WalkRow } from '@urvek/study';
import { Link } from 'react-router';
import { Paged } from '../../components/Paged.tsx';
import * as phrases from './phrases.ts';

export function Order({ id, slots }: { id: string; slots: SlotState<WalkRow>[] }) {
  const next = slots.find((s) => !s.walk);
  return (
    <section className="sheet p-4" aria-label={phrases.orderOfWalks}>
      <h2>{phrases.orderOfWalks}</h2>
      <Paged items={slots} at={next ? slots.indexOf(next) : 0} what={phrases.walks}>
        {(page) => (
          <table className="table mt-1">
            <thead>
              <tr>
                <th>{phrases.round}</th>
                <th>{phrases.place}</th>
                <th>{phrases.product}</th>
                <th>{phrases.rig}</th>
                <th>{phrases.path}</th>
                <th>{phrases.state}</th>
              </tr>
            </thead>
            <tbody>
              {page.map((slot) => (
                <tr
                  key={`${slot.item.path.id}-${slot.round}-${slot.place}-${slot.item.variant}`}
                  className={slot === next ? 'bg-white' : ''}
                >
                  <td className="figure">{slot.round}</td>
                  <td className="figure">{slot.place}</td>
                  <td className={slot === next ? 'font-bold' : ''}>{slot.item.product.name}</td>
                  <td>
                    {slot.item.rig.name}
                    {slot.item.variant !== 'plain' && (
                      <strong className="block text-[0.87rem]">{slot.item.variant}</strong>
                    )}
                  </td>
                  <td>{slot.item.path.name}</td>
                  <td>
                    {slot.walk ? (
                      <Link className="underline" to={`/c/${id}/trace/${slot.walk.walkId}`}>
                        {phrases.walk(slot.walk.label)}
                      </Link>
                    ) : slot === next ? (
                      <Link className="font-bold underline" to={`/c/${id}/walk`}>
                        {phrases.walkItNext}
                      </Link>
                    ) : (
                      <span className="text-faint">{phrases.toWalk}</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Paged>
    </section>
  );
}
