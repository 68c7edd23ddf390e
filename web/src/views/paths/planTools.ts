import { FEATURE_DEFAULTS, FEATURE_KINDS, type Feature, type FeatureKind, type PlanPoint } from '@urvek/core';

export const TOOLS = ['move', 'route', ...FEATURE_KINDS] as const;
export type Tool = (typeof TOOLS)[number];

export const KIND_NAME: Readonly<Record<FeatureKind, string>> = {
  wall: 'Wall',
  hedge: 'Hedge',
  trees: 'Trees',
  vehicle: 'Wagon or vehicle',
  floor: 'Floor',
  steps: 'Steps',
};
export const TOOL_NAME: Readonly<Record<Tool, string>> = { move: 'Move', route: 'Route', ...KIND_NAME };
export const TOOL_HINT: Readonly<Record<Tool, string>> = {
  move: 'Drag a handle, or tab to it and use the arrow keys; Delete removes it. Drag the ground, or pinch, to look closer.',
  route: 'A click adds the next place of the route.',
  wall: 'Drag from one end of the wall to the other.',
  hedge: 'Drag from one end of the hedge to the other.',
  trees: 'Drag over the area.',
  vehicle: 'Drag over its outline.',
  floor: 'Drag over the area of the other storey.',
  steps: 'Drag over the steps.',
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
