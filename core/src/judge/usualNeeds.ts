/**
 * A use in the trade's own terms, to start from; every figure is common practice, without a source, and
 * editable.
 */
export interface UsualNeed {
  readonly kindId: string;
  readonly use: string;
  readonly entered: string;
  readonly condition: 'open' | 'obstructed';
}

const need = (
  kindId: string,
  use: string,
  entered: string,
  condition: UsualNeed['condition'],
): UsualNeed => ({ kindId, use, entered, condition });

export const USUAL_NEEDS: readonly UsualNeed[] = [
  need('microphone', 'Interview, two steps from the camera', '3 m', 'open'),
  need('microphone', 'Presenter on a stage, receiver at the desk', '25 m', 'open'),
  need('microphone', 'Guide ahead of a group', '40 m', 'open'),
  need('microphone', 'Walk and talk round a corner', '20 m', 'obstructed'),
  need('video-link', 'Director’s monitor on set', '30 m', 'open'),
  need('video-link', 'Focus puller behind one wall', '20 m', 'obstructed'),
  need('video-link', 'Camera on a vehicle, monitor by the road', '150 m', 'open'),
  need('speaker', 'Next room', '10 m', 'obstructed'),
  need('speaker', 'Across a platform or a garden', '25 m', 'open'),
  need('router', 'Desk two rooms away', '12 m', 'obstructed'),
  need('router', 'Yard or workshop', '50 m', 'open'),
  need('remote', 'Shutter or lamp from the front of a stage', '15 m', 'open'),
  need('remote', 'Gate from inside a vehicle', '30 m', 'obstructed'),
  need('two-way-radio', 'Two ends of a site', '500 m', 'open'),
  need('two-way-radio', 'Through a works with slate and steel', '150 m', 'obstructed'),
  need('accessory', 'The rig that it belongs to', '50 m', 'open'),
];
