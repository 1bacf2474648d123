import { useLayoutEffect, type RefObject } from 'react';

const GAP_PX = 8;

const isUnder = (one: DOMRect, other: DOMRect) =>
  one.bottom > other.top && one.top < other.bottom && one.right > other.left && one.left < other.right;

/** What is pressed stays where it is: the next of a row is pressed where the last one was. */
const IS_TYPED_IN =
  'textarea, select, [contenteditable], input:not([type="checkbox"], [type="radio"], [type="button"])';

/**
 * While a place lies over the foot of the screen, what is typed in comes out from beneath it: at once, and whenever
 * another cell takes the keys.
 * @param shown what stands there; nothing, and the screen is its own again
 */
export function useClearOf(place: RefObject<HTMLElement | null>, shown: unknown): void {
  useLayoutEffect(() => {
    const over = place.current;
    if (!over || !shown) return;
    const root = document.documentElement;
    const box = over.getBoundingClientRect();
    root.style.scrollPaddingBottom = `${Math.max(0, window.innerHeight - box.top) + GAP_PX}px`;
    const clear = () => {
      const typedIn = document.activeElement;
      if (typedIn?.matches(IS_TYPED_IN) && !over.contains(typedIn) && isUnder(typedIn.getBoundingClientRect(), box))
        typedIn.scrollIntoView({ block: 'nearest' });
    };
    clear();
    document.addEventListener('focusin', clear);
    return () => {
      document.removeEventListener('focusin', clear);
      root.style.removeProperty('scroll-padding-bottom');
    };
  }, [place, shown]);
}
