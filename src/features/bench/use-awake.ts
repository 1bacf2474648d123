'use client';

import { useEffect } from 'react';

/** Keeps the screen awake while the face is shown, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const hold = () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      const held = (sentinel: WakeLockSentinel) => (lock = sentinel);
      // Refused on low battery: the face works without it.
      void navigator.wakeLock.request('screen').then(held, () => undefined);
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
}
