import { cookies } from 'next/headers';
import { WHO_COOKIE, initialsIn } from '@/model/initials';

/** Initials of whoever works at this device; empty where nobody gave them. */
export const currentWho = async (): Promise<string> => initialsIn((await cookies()).get(WHO_COOKIE)?.value);
