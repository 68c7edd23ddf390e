import type { CheckpointMatrix } from '@urvek/study';

export type Places = CheckpointMatrix['checkpoints'];
