import { Link } from 'react-router';
import { Stage } from '../../components/Stage.tsx';
import { TopBar } from '../../components/TopBar.tsx';
import { Lessons } from './Lessons.tsx';
import * as phrases from './phrases.ts';

/** Learns how late whoever uses this device logs what they hear and see. */
export function Trainer() {
  return (
    <>
      <TopBar />
      <Stage
        title={phrases.reactionTrainer}
        lead={phrases.aVoiceAndAMovingMark}
        actions={
          <Link className="btn" to="/trainer/grades">
            {phrases.gradeTrainer}
          </Link>
        }
      >
        <Lessons />
      </Stage>
    </>
  );
}
