import { personKey, type Conditions } from '@urvek/core';
import * as phrases from './phrases.ts';

/**
 * Who graded is a person: numbers in their stead, so that what one of them graded still belongs together.
 * @param names of all walks, in their order
 */
export function withoutGraders(names: readonly (string | undefined)[]): {
  /** How many people are left unnamed. */
  readonly count: number;
  readonly of: (conditions: Conditions) => Conditions;
} {
  const people = [...new Set(names.flatMap((n) => personKey(n) ?? []))];
  return {
    count: people.length,
    of: (conditions) => {
      const person = personKey(conditions.gradedBy);
      return person === undefined
        ? conditions
        : { ...conditions, gradedBy: phrases.person(people.indexOf(person) + 1) };
    },
  };
}
