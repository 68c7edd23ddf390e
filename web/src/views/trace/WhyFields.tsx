import { Field } from '../../components/Field.tsx';
import * as phrases from './phrases.ts';

/** Why something is corrected, and who says so. */
export interface Why {
  readonly reason: string;
  readonly author: string;
}

export const NO_WHY: Why = { reason: '', author: '' };

export const WhyFields = ({
  why,
  onChange,
  example,
}: {
  why: Why;
  onChange: (why: Why) => void;
  example?: string;
}) => (
  <>
    <Field
      label={phrases.yourNameIfYouLike}
      value={why.author}
      maxLength={120}
      onChange={(e) => onChange({ ...why, author: e.target.value })}
    />
    <Field
      label={phrases.reason}
      placeholder={example}
      value={why.reason}
      maxLength={500}
      onChange={(e) => onChange({ ...why, reason: e.target.value })}
    />
  </>
);
