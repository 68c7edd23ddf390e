import { expect, test } from '@jest/globals';
import { Turnstile } from './turnstile.ts';

test('what is held waits, whoever comes, and goes on where it was', async () => {
  const gate = new Turnstile();
  const passed: number[] = [];
  const work = async (): Promise<void> => {
    for (let piece = 0; piece < 4; piece++) {
      await gate.pass();
      passed.push(piece);
      if (piece === 1) gate.hold();
    }
  };
  const working = work();
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(passed).toEqual([0, 1]);
  gate.hold();
  gate.goOn();
  await working;
  expect(passed).toEqual([0, 1, 2, 3]);
  gate.goOn();
  await gate.pass();
});
