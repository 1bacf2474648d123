import { cookies } from 'next/headers';
import { WHO_COOKIE, initialsIn } from '@/model/initials';
import type { Kept } from './current-shop';

/** Initials of whoever works at a device that keeps this; empty where nobody gave them. */
export const whoIn = (kept: Kept): string => initialsIn(kept.get(WHO_COOKIE)?.value);

/** Initials of whoever works at this device; empty where nobody gave them. */
export const currentWho = async (): Promise<string> => whoIn(await cookies());
