import { kindOf, pathPoint, type Path, type PlanPoint } from '@urvek/core';
import { predictionLane, travelledGround } from '@urvek/draw';
import type { SetupPath } from '@urvek/study';
import { useMemo, useState, type ReactNode } from 'react';
import { Choice } from '../../components/Field.tsx';
import { Tape } from '../../components/Tape.tsx';
import { Readout } from './Readout.tsx';
import type { OfKind } from './usePredicted.ts';
import * as phrases from './phrases.ts';

/**
 * The path on the tape, with what is expected of every rig there. `children` is the plan above it: both show the place
 * that is pointed at.
 */
export function PathTape({
  path,
  of: { kinds, kindId, onKind, predicted },
  inHandM,
  onPress,
  children,
}: {
  path: SetupPath;
  of: OfKind;
  /** Where the part in hand stands; it is shown while nothing else is pointed at. */
  inHandM: number | undefined;
  onPress: (atM: number) => void;
  children: (here: PlanPoint | undefined, onHere: (atM: number | undefined) => void) => ReactNode;
}) {
  const [hereM, setHereM] = useState<number>();
  const ground = useMemo(() => travelledGround(path as Path), [path]);
  const shownM = hereM ?? inHandM;
  const onPath = shownM === undefined ? undefined : Math.min(shownM, ground.lengthM);
  const place = onPath === undefined ? undefined : pathPoint(path, onPath);
  return (
    <>
      {children(place && [place[0], place[1]], setHereM)}
      {kinds.length > 1 && (
        <Choice
          inline
          className="w-80"
          label={phrases.predictedFor}
          value={kindId}
          onChange={(e) => onKind(e.target.value)}
        >
          {kinds.map((k) => (
            <option key={k} value={k}>
              {kindOf(k).name}
            </option>
          ))}
        </Choice>
      )}
      <Tape
        title={phrases.thePathOnTheTape(path.name)}
        ground={ground}
        measure="travelled"
        hereM={onPath}
        onHover={setHereM}
        onPress={onPress}
        lanes={predicted.map(({ id, name, prediction }) => predictionLane(id, name, prediction))}
      />
      <Readout path={path} atM={onPath} predicted={predicted} />
    </>
  );
}
