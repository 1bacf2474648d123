import { startTransition, useEffect, useState } from 'react';

/** Whether what is out of sight is drawn too: a moment after the page came up, behind whatever is pressed meanwhile. */
export function useRest(): boolean {
  const [drawn, setDrawn] = useState(false);
  useEffect(() => startTransition(() => setDrawn(true)), []);
  return drawn;
}
