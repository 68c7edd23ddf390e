import type { Setup } from '@urvek/contract';
import type { UseFormReturn } from 'react-hook-form';

export type SetupForm = UseFormReturn<Setup>;

/** Short ids inside a set-up: unique in it, not in the world. */
export const newId = (): string => crypto.randomUUID().slice(0, 8);
