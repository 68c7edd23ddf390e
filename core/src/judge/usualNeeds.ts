import * as phrases from './phrases.ts';

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
  need('microphone', phrases.interviewTwoStepsFromTheCamera, '3 m', 'open'),
  need('microphone', phrases.presenterOnAStageReceiverAt, '25 m', 'open'),
  need('microphone', phrases.guideAheadOfAGroup, '40 m', 'open'),
  need('microphone', phrases.walkAndTalkRoundACorner, '20 m', 'obstructed'),
  need('video-link', phrases.directorsMonitorOnSet, '30 m', 'open'),
  need('video-link', phrases.focusPullerBehindOneWall, '20 m', 'obstructed'),
  need('video-link', phrases.cameraOnAVehicleMonitorBy, '150 m', 'open'),
  need('speaker', phrases.nextRoom, '10 m', 'obstructed'),
  need('speaker', phrases.acrossAPlatformOrAGarden, '25 m', 'open'),
  need('router', phrases.deskTwoRoomsAway, '12 m', 'obstructed'),
  need('router', phrases.yardOrWorkshop, '50 m', 'open'),
  need('remote', phrases.shutterOrLampFromTheFront, '15 m', 'open'),
  need('remote', phrases.gateFromInsideAVehicle, '30 m', 'obstructed'),
  need('two-way-radio', phrases.twoEndsOfASite, '500 m', 'open'),
  need('two-way-radio', phrases.throughAWorksWithSlateAnd, '150 m', 'obstructed'),
  need('accessory', phrases.theRigThatItBelongsTo, '50 m', 'open'),
];
