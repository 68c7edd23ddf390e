import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Tick } from '../../components/Field.tsx';
import type { Shown } from './cellDetailParts.ts';
import { EstimateTable } from './Estimates.tsx';
import { HowEstimated } from './HowEstimated.tsx';
import { OutingList } from './OutingList.tsx';
import { RangesTape } from './RangesTape.tsx';
import { SaveTape } from './SaveTape.tsx';
import { Units } from './Units.tsx';
import * as phrases from './phrases.ts';

/** The walks of a cell on the tape, and its estimates. */
export function CellWalks({ workspace, range }: Shown) {
  const navigate = useNavigate();
  const [area, setArea] = useState(false);
  const openWalk = (group: string): void => {
    if (group.startsWith('walk-')) void navigate(`/c/${workspace.id}/trace/${group.slice(5)}`);
  };
  return (
    <>
      <RangesTape range={range} onPoint={openWalk} />
      <p className="text-[0.87rem] text-faint">{phrases.bracketsJoinTheLastPlaceThat}</p>
      <div className="flex flex-wrap items-center gap-4">
        <SaveTape range={range} />
        <Tick label={phrases.areasToo} checked={area} onChange={(e) => setArea(e.target.checked)} />
      </div>
      <EstimateTable range={range} area={area} />
      <OutingList range={range} id={workspace.id} />
      <Units summary={range.summary} />
      <HowEstimated summary={range.summary} />
    </>
  );
}
