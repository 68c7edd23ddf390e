import { FEATURE_DEFAULTS, FEATURE_KINDS, type Feature, type FeatureKind, type PlanPoint } from '@urvek/core';
import * as phrases from './phrases.ts';

export const TOOLS = ['move', 'route', ...FEATURE_KINDS] as const;
export type Tool = (typeof TOOLS)[number];

export const KIND_NAME: Readonly<Record<FeatureKind, string>> = {
  wall: phrases.wall,
  hedge: phrases.hedge,
  trees: phrases.trees,
  vehicle: phrases.wagonOrVehicle,
  floor: phrases.floor,
  steps: phrases.steps,
};
export const TOOL_NAME: Readonly<Record<Tool, string>> = {
  move: phrases.move,
  route: phrases.route,
  ...KIND_NAME,
};
export const TOOL_HINT: Readonly<Record<Tool, string>> = {
  move: phrases.dragAHandleOrTabTo,
  route: phrases.aClickAddsTheNextPlace,
  wall: phrases.dragFromOneEndOfThe,
  hedge: phrases.dragFromOneEndOfThe2,
  trees: phrases.dragOverTheArea,
  vehicle: phrases.dragOverItsOutline,
  floor: phrases.dragOverTheAreaOfThe,
  steps: phrases.dragOverTheSteps,
};

export const newFeature = (kind: FeatureKind, outline: readonly PlanPoint[], number: number): Feature => ({
  id: crypto.randomUUID().slice(0, 8),
  label: `${KIND_NAME[kind]} ${number}`,
  kind,
  outline,
  ...(kind === 'wall' ? { material: 'brick' as const, thicknessM: 0.1 } : {}),
  ...(kind === 'hedge' ? { thicknessM: FEATURE_DEFAULTS.hedgeM } : {}),
  ...(kind === 'vehicle' ? { heightM: FEATURE_DEFAULTS.vehicleM } : {}),
  ...(kind === 'floor' ? { lossDb: FEATURE_DEFAULTS.floorDb } : {}),
});
