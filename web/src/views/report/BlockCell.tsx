import { OutcomeMark } from '../verdict/OutcomeMark.tsx';

const OUTCOMES = [
  'supported',
  'refuted',
  'undecided',
  'not tested',
  'meets',
  'marginal',
  'fails',
  'unknown',
] as const;

/** A cell; a verdict is told by its shape too. */
export const BlockCell = ({ text }: { text: string }) => {
  const outcome = OUTCOMES.find((o) => o === text);
  return outcome ? <OutcomeMark outcome={outcome} /> : <>{text}</>;
};
