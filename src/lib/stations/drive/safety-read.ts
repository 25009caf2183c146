import { z } from 'zod';
import { recalled, remember } from '$lib/client/remembered';

/** By the clock on the wall where the rivets are: the day that it is. */
const today = (): string => new Date().toDateString();
const keyOf = (person: string): string => `drive-safety-day.${person}`;

/** Whether whoever is here has read today what can hurt. */
export const safetyRead = (person: string): boolean =>
  recalled(keyOf(person), z.string()) === today();

export const noteSafetyRead = (person: string): void => remember(keyOf(person), today());
