import { OneTab } from './Walk.tsx';
import { WalkNowStage } from './WalkNowStage.tsx';

export const WalkNow = () => (
  <OneTab>
    <WalkNowStage />
  </OneTab>
);
