import { inFrames } from '@urvek/core';
import type { LatencyFound } from '@urvek/study';
import { Length } from '../../components/Length.tsx';
import { Empty } from '../../components/States.tsx';
import type { SetupForm } from '../kit/form.ts';
import { LatencyForm } from './LatencyForm.tsx';
import { OverDistance } from './OverDistance.tsx';
import { ms } from './latencyPanelParts.tsx';
import * as phrases from './phrases.ts';

const CINEMA_FPS = 24;

/** How late the picture or the sound comes, from frames counted or a clock filmed beside its screen. */
export function LatencyPanel({ form, found }: { form: SetupForm; found: readonly LatencyFound[] }) {
  const far = new Set(found.flatMap((f) => f.row.distanceM ?? []));
  return (
    <div className="grid gap-4">
      {found.length === 0 ? (
        <Empty title={phrases.noLatencyIsEntered}>{phrases.countFramesBetweenAnActAnd}</Empty>
      ) : (
        <section className="sheet p-4" aria-label={phrases.latencyFound}>
          <table className="table">
            <thead>
              <tr>
                <th>{phrases.product}</th>
                <th>{phrases.at}</th>
                <th>{phrases.method}</th>
                <th>{phrases.latency95Percent}</th>
                <th>{phrases.framesAtFps(CINEMA_FPS)}</th>
                <th>{phrases.resolution}</th>
                <th>{phrases.readings}</th>
              </tr>
            </thead>
            <tbody>
              {found.map(({ row, product, latency, refused }) => (
                <tr key={row.id} data-latency={latency?.latencyS}>
                  <th scope="row" className="row-head">
                    {product.name}
                  </th>
                  <td>{row.distanceM === undefined ? phrases.theBench : <Length m={row.distanceM} />}</td>
                  <td>{row.method}</td>
                  {latency ? (
                    <>
                      <td className="figure font-bold">
                        {ms(latency.latencyS)} ± {ms(latency.halfWidthS)}
                      </td>
                      <td className="figure">{inFrames(latency.latencyS, CINEMA_FPS).toFixed(1)}</td>
                      <td className="figure">{ms(latency.resolutionS)}</td>
                      <td className="figure">{latency.readings}</td>
                    </>
                  ) : (
                    <td colSpan={4}>
                      {phrases.refused}
                      {refused}
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
          {far.size > 1 && <OverDistance found={found} />}
        </section>
      )}
      <LatencyForm form={form} />
    </div>
  );
}
