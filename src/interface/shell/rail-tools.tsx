'use client';

import { useMantineColorScheme } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { IconBooks, IconContrast2, IconKeyboard, IconRuler2 } from '../icons/icons';
import { Link } from '@/interface/parts/link';
import { fetchedPart } from '../parts/fetched-part';
import { useState, type ReactNode } from 'react';
import { usePreferences, useTorqueUnit } from '../figures/preferences';
import { useSingleKeys } from './use-single-keys';
import styles from './rail.module.css';

const isOpened = ({ opened }: { readonly opened: boolean }) => opened;

// What opens over a page comes when it is first opened.
const OverPage = fetchedPart(() => import('../parts/over-page').then(({ OverPage: part }) => part), { over: isOpened });
const KeysDialog = fetchedPart(() => import('./keys-dialog').then(({ KeysDialog: part }) => part), { over: isOpened });

/** True from when it first was. */
function useWas(now: boolean): boolean {
  const [was, setWas] = useState(now);
  if (now && !was) setWas(true);
  return was || now;
}

const LOOKS = ['light', 'dark', 'light-high', 'dark-high'] as const;
const LOOK_NAMES: Readonly<Record<(typeof LOOKS)[number], string>> = {
  light: 'Light',
  dark: 'Dark',
  'light-high': 'Light, high contrast',
  'dark-high': 'Dark, high contrast',
};

/** Goes round light, dark and the two high-contrast looks. */
function useLook() {
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  const { contrast, change } = usePreferences();
  const look = LOOKS.indexOf(`${colorScheme === 'dark' ? 'dark' : 'light'}${contrast === 'high' ? '-high' : ''}`);
  return () => {
    const next = LOOKS[(look + 1) % LOOKS.length] ?? 'light';
    setColorScheme(next.startsWith('dark') ? 'dark' : 'light');
    change({ contrast: next.endsWith('high') ? 'high' : 'normal' });
    return LOOK_NAMES[next];
  };
}

/** At the end of the rail: the unit in force, the look, the list of keys. */
export function RailTools({ reckoner, find }: { readonly reckoner: ReactNode; readonly find: ReactNode }) {
  const { otherUnits, change } = usePreferences();
  const unit = useTorqueUnit();
  const nextLook = useLook();
  const [keysOpen, { open, close, toggle }] = useDisclosure(false);
  const [reading, read] = useDisclosure(false);
  const [wasReading, hadKeys] = [useWas(reading), useWas(keysOpen)];
  const flip = () => change({ otherUnits: !otherUnits });
  useSingleKeys({ u: flip, r: read.open, d: () => void nextLook() });
  // The list says where the keys are switched on again; it goes away by the key that it came by.
  useSingleKeys({ '?': toggle }, true);
  return (
    <div className={styles.tools}>
      {find}
      <button
        type="button"
        className={styles.tool}
        onClick={read.open}
        aria-label="Read a figure"
        title="Read a figure (R)"
      >
        <IconRuler2 size={22} aria-hidden />
      </button>
      <Link href="/shelves/films" className={styles.tool} aria-label="The shelves" title="The shelves (H)">
        <IconBooks size={22} aria-hidden />
      </Link>
      <button type="button" className={styles.tool} onClick={flip} title="Change between unit systems (U)">
        <span className={styles.unit}>{unit}</span>
        <span className="only-spoken">shown; change to the other unit system</span>
      </button>
      <button
        type="button"
        className={styles.tool}
        onClick={nextLook}
        aria-label="Change the look: light, dark, high contrast"
        title="Change the look (D)"
      >
        <IconContrast2 size={22} aria-hidden />
      </button>
      <button type="button" className={styles.tool} onClick={open} aria-label="Keys" title="Keys (?)">
        <IconKeyboard size={24} aria-hidden />
      </button>
      {wasReading && (
        <OverPage title="Read a figure" size="xl" opened={reading} onClose={read.close}>
          {reckoner}
        </OverPage>
      )}
      {hadKeys && <KeysDialog opened={keysOpen} onClose={close} />}
    </div>
  );
}
