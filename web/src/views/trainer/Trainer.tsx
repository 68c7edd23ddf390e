import { Link } from 'react-router';
import { Stage } from '../../components/Stage.tsx';
import { TopBar } from '../../components/TopBar.tsx';
import { Lessons } from './Lessons.tsx';

/** Learns how late whoever uses this device logs what they hear and see. */
export function Trainer() {
  return (
    <>
      <TopBar />
      <Stage
        title="Reaction trainer"
        lead="A voice and a moving mark drop out now and then. Press as soon as you notice; Urvek learns how late that is, and corrects positions by it."
        actions={
          <Link className="btn" to="/trainer/grades">
            Grade trainer
          </Link>
        }
      >
        <Lessons />
      </Stage>
    </>
  );
}
