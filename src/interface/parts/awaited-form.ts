let awaited = 0;

/** Notes a form that was opened and is still on its way; it is there, or given up, once what this returns is called. */
export function awaitForm(): () => void {
  awaited += 1;
  let isOver = false;
  return () => {
    if (!isOver) awaited -= 1;
    isOver = true;
  };
}

/** Whether what is typed now is meant for a form that is not there yet. */
export const isAnyAwaited = (): boolean => awaited > 0;
