import type { Block } from '@urvek/draw';

export type ParagraphBlock = Extract<Block, { kind: 'paragraph' }>;
