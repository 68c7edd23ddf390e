import { readPrediction, type PredictionInput } from '@urvek/contract';
import { predictionWarnings, predictPoint, reachM, type PredictedPoint } from '@urvek/core';
import { BadInput } from './badInput.ts';
import { readInput } from './readInput.ts';

/** The `predict` command. @throws BadInput */
export async function predict(file: string, { json }: { json?: true }): Promise<string> {
  const { link, distancesM } = parse(await readInput(file), file);
  const points = predictAll(file, link, distancesM);
  const reach = reachM(points);
  const warnings = predictionWarnings(link);
  if (json)
    return `${JSON.stringify({ points: points.map(pointJson), reach_m: reach ?? null, warnings }, null, 1)}\n`;
  return table(points, reach, warnings);
}

function parse(text: string, file: string): PredictionInput {
  try {
    return readPrediction(JSON.parse(text));
  } catch (error) {
    throw new BadInput(`${file}: ${(error as Error).message}`);
  }
}

function predictAll(
  file: string,
  link: PredictionInput['link'],
  distancesM: readonly number[],
): PredictedPoint[] {
  try {
    return distancesM.map((m) => predictPoint(link, m));
  } catch (error) {
    // A model used beyond what it was made for says which value it was.
    throw new BadInput(`${file}: ${(error as RangeError).message}`);
  }
}

const pointJson = (p: PredictedPoint) => ({
  distance_m: p.distanceM,
  free_space_db: p.freeSpaceDb,
  path_loss_db: p.pathLossDb,
  obstruction_db: p.obstructionDb,
  level_dbm: p.levelDbm,
  margin_db: p.marginDb,
  fresnel_clearance_ratio: p.fresnelClearanceRatio,
});

function table(
  points: readonly PredictedPoint[],
  reach: number | undefined,
  warnings: readonly string[],
): string {
  const columns = [
    'distance m',
    'path loss dB',
    'obstructions dB',
    'level dBm',
    'margin dB',
    'Fresnel clearance',
  ];
  const rows = points.map((p) =>
    [p.distanceM, p.pathLossDb, p.obstructionDb, p.levelDbm, p.marginDb, p.fresnelClearanceRatio].map(
      (v, i) => v.toFixed(i === 5 ? 2 : 1),
    ),
  );
  const line = (cells: readonly string[]): string =>
    cells.map((c, i) => c.padStart((columns[i] as string).length)).join('  ');
  return [
    line(columns),
    ...rows.map(line),
    '',
    reach === undefined ? 'never lost within these distances' : `reach ${reach} m`,
    ...warnings,
    '',
  ].join('\n');
}
