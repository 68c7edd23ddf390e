import type { SetupPath } from '@urvek/study';

export type Points = SetupPath['checkpoints'];
