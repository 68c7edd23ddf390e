import type { Setup } from '@urvek/contract';
import type { UseFormReturn } from 'react-hook-form';

export type SetupForm = UseFormReturn<Setup>;
export const number = { valueAsNumber: true } as const;
