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

test('work that waits for nothing else hears that it is held, and that it goes on', async () => {
  const gate = new Turnstile();
  let [passed, heldAfter] = [0, 0];
  setTimeout(() => {
    gate.hold();
    heldAfter = passed;
    setTimeout(() => gate.goOn());
  });
  for (const until = Date.now() + 3000; heldAfter === 0 && Date.now() < until; passed++) await gate.pass();
  expect(heldAfter).toBeGreaterThan(10);
  expect(gate.held).toBe(false);
});
