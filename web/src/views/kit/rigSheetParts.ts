import { MAIN_SETTINGS, MORE_SETTINGS } from './settings.ts';

export const SETTINGS = [...MAIN_SETTINGS, ...MORE_SETTINGS];

export const stated = (value: unknown): boolean => value !== undefined && value !== '';
