'use client';

import { IconSearch } from '@/interface/icons/icons';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { useState } from 'react';
import { useHotkeys } from '@mantine/hooks';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import rail from '@/interface/shell/rail.module.css';

// The box and what it is made of come with the first look for something.
const FindDialog = fetchedPart(() => import('./find-dialog').then((module) => module.default), {
  over: ({ asked }) => asked > 0,
});

/** Finds anything from anywhere, by one key. */
export function FindBox() {
  const [asked, setAsked] = useState(0);
  const open = () => setAsked((times) => times + 1);
  useSingleKeys({ f: open });
  useHotkeys([['mod+k', open]], []);
  return (
    <>
      <button type="button" className={rail.tool} onClick={open} aria-label="Find" title="Find anything (F)">
        <IconSearch size={22} aria-hidden />
      </button>
      {asked > 0 && <FindDialog asked={asked} />}
    </>
  );
}
