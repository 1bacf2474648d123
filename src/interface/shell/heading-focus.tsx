'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';

/** After going to another screen the focus is on its heading, unless a form of it has taken it. */
export function HeadingFocus() {
  const path = usePathname();
  const before = useRef(path);
  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    // A form takes the focus in the frame in which its gate opens; the heading comes after it.
    const timer = setTimeout(() => {
      if (document.activeElement?.closest('main, [role=dialog]')) return;
      const heading = document.querySelector<HTMLElement>('main h1');
      if (!heading) return;
      heading.tabIndex = -1;
      heading.focus({ preventScroll: true });
    }, 80);
    return () => clearTimeout(timer);
  }, [path]);
  return null;
}
