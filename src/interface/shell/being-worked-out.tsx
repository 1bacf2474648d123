'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { Notice } from '../parts/screen';

const AGAIN_MS = 3000;

/** Says that a list is not whole yet, and asks for it again until it is. */
export function BeingWorkedOut({ engines }: { readonly engines: number }) {
  const router = useRouter();
  useEffect(() => {
    const clock = setInterval(() => router.refresh(), AGAIN_MS);
    return () => clearInterval(clock);
  }, [router]);
  return (
    <Notice kind="wait">
      {engines === 1 ? 'One engine is' : `${engines} engines are`} being worked out anew after a change of the program:
      what they wait for comes by itself, and is not on this page yet.
    </Notice>
  );
}
