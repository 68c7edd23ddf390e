import { simulatePower, type Power, type PowerQuestion } from '@urvek/core';
import * as Comlink from 'comlink';

const api = {
  /** Answers one question after the other; the page ends it by ending the worker. */
  sweep(
    questions: readonly PowerQuestion[],
    comparisons: number,
    onAnswer: (answer: Power, done: number) => void,
  ): void {
    questions.forEach((question, i) => onAnswer(simulatePower(question, comparisons, 'plan'), i + 1));
  },
};

export type PowerWorker = typeof api;
Comlink.expose(api);
