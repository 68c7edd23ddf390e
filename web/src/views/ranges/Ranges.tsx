import type { WantedCriterion } from '@urvek/contract';
import { SIDES, type Side } from '@urvek/core';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { base } from '../../api/client.ts';
import { useCurves, useJudgement } from '../../api/queries.ts';
import { CriterionChoice } from '../../components/CriterionChoice.tsx';
import { Choice, Field, Options, Tick } from '../../components/Field.tsx';
import { WithWorkspace, Stage, type Ready } from '../../components/Frame.tsx';
import { Empty, Loading, Trouble } from '../../components/States.tsx';
import { Forest } from './Forest.tsx';
import { PathSection } from './PathSection.tsx';

export const Ranges = () => <WithWorkspace>{(workspace) => <RangesStage {...workspace} />}</WithWorkspace>;

/** Exponent for ratios in dB until another is chosen: beyond the break point of two rays over ground. */
const USUAL_EXPONENT = 4;

function RangesStage(workspace: Ready) {
  const { comparison } = workspace;
  const [criterion, setCriterion] = useState<WantedCriterion>(comparison.setup.plan.criterion);
  const [side, setSide] = useState<Side>();
  const [exponent, setExponent] = useState(USUAL_EXPONENT);
  const [area, setArea] = useState(false);
  const { data, error } = useJudgement(workspace, criterion, side);
  const { data: curves } = useCurves(workspace, criterion, side);
  const ranges = data?.ranges.filter((r) => r.walks.length > 0);
  return (
    <Stage
      title="Ranges"
      lead="How far each holds, in separation, with what each walk says and what all of them bound."
      actions={
        <a className="btn" href={base.intervalsCsv(workspace.id, criterion, side)} download>
          <Download aria-hidden size={16} />
          Intervals as CSV
        </a>
      }
    >
      <div className="mb-3 flex flex-wrap items-start gap-x-5 gap-y-2">
        <CriterionChoice value={criterion} onChange={setCriterion} />
        <Choice
          className="w-44"
          label="Direction"
          value={side ?? ''}
          onChange={(e) => setSide(SIDES.find((s) => s === e.target.value))}
        >
          <option value="">as walked</option>
          <Options of={SIDES} />
        </Choice>
        <Field
          className="w-80"
          label="How fast the level falls (exponent)"
          help="For decibels: 2 in free space, 4 far over ground."
          type="number"
          min={1}
          max={8}
          step="any"
          value={exponent}
          onChange={(e) => {
            const n = Number(e.target.value);
            if (n > 0) setExponent(n);
          }}
        />
        <Tick className="mt-6" label="areas too" checked={area} onChange={(e) => setArea(e.target.checked)} />
      </div>
      {error && <Trouble error={error} />}
      {!data && !error && <Loading what="the estimates" />}
      {ranges?.length === 0 && (
        <Empty title="No walk yet">Estimates begin with the first finished walk.</Empty>
      )}
      {ranges?.map((range) => (
        <PathSection
          key={range.id}
          workspace={workspace}
          range={range}
          curves={curves?.find((c) => c.id === range.id)}
          exponent={exponent}
          area={area}
        />
      ))}
      {data?.across.map((across) => (
        <Forest key={across.kindId} across={across} ranges={data.ranges} />
      ))}
    </Stage>
  );
}
