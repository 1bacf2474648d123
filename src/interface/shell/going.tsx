'use client';

import { useLinkStatus } from 'next/link';

/** Beside the words of a link whose screen is on its way. */
export function Going() {
  const { pending } = useLinkStatus();
  return <span aria-hidden>{pending ? ' …' : ''}</span>;
}
