import { Choice, Tick as TickBox } from '../../components/Field.tsx';
import { PROBE_S } from '../../probe/useProbe.ts';
import { AGAIN, useProbeLog, type ProbedWalk } from './useProbeLog.ts';
import * as phrases from './phrases.ts';

const BUDGETS_MB = [100, 500, 2000, 10_000];
/** Measures the link to the base, and logs what it read: at a stand by press, on the move each so often. */
export function ProbeStrip({ onClose, ...walk }: ProbedWalk & { onClose: () => void }) {
  const probe = useProbeLog(walk);
  const { now, busy, left } = probe;
  return (
    <section className="sheet mb-2 flex flex-wrap items-end gap-2 p-2" aria-label={phrases.probe2}>
      {busy ? (
        <button type="button" className="pressable" onClick={probe.stop}>
          {phrases.stop}
        </button>
      ) : (
        <button
          type="button"
          className="pressable"
          disabled={left <= 0}
          onClick={() => void probe.measure(false)}
        >
          {phrases.measure}
        </button>
      )}
      <Choice
        label={phrases.again}
        value={probe.again}
        onChange={(e) => probe.setAgain(Number(e.target.value))}
      >
        {AGAIN.map(({ label }, i) => (
          <option key={label} value={i}>
            {label}
          </option>
        ))}
      </Choice>
      <Choice
        label={phrases.atMost}
        value={probe.budgetMb}
        onChange={(e) => probe.setBudgetMb(Number(e.target.value))}
      >
        {BUDGETS_MB.map((mb) => (
          <option key={mb} value={mb}>
            {mb < 1000 ? phrases.mb(mb) : phrases.gb(mb / 1000)}
          </option>
        ))}
      </Choice>
      <TickBox
        label={phrases.bothAtOnceToo}
        checked={probe.bothToo}
        onChange={(e) => probe.setBothToo(e.target.checked)}
      />
      <p role="status" className="min-w-40 flex-1">
        {now ? (
          <>
            {now.what}
            {now.mbps !== undefined && <span className="figure">{phrases.mbitS(now.mbps.toFixed(1))}</span>}
          </>
        ) : (
          probe.said ||
          (left <= 0
            ? phrases.theDataBudgetIsSpent
            : phrases.someSARunBetweenThis((probe.bothToo ? 3 : 2) * PROBE_S + 10))
        )}
      </p>
      <button type="button" className="btn" onClick={onClose}>
        {phrases.putTheProbeAway}
      </button>
    </section>
  );
}
