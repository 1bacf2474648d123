import type { MantineColorsTuple, MantineThemeOverride } from '@mantine/core';

const ink: MantineColorsTuple = [
  '#eef1f6',
  '#dbe1ea',
  '#b5c0d2',
  '#8c9db9',
  '#6a7fa4',
  '#546c97',
  '#465f8d',
  '#2b3d5e',
  '#16223a',
  '#0e1727',
];

/** Colours, corners and faces: what the parts' own variables are made of. */
export const LOOK = {
  colors: { ink },
  primaryColor: 'ink',
  primaryShade: { light: 8, dark: 2 },
  autoContrast: true,
  defaultRadius: 0,
  fontFamily: 'var(--text)',
  fontFamilyMonospace: 'var(--figure)',
  headings: { fontFamily: 'var(--heading)', fontWeight: '600' },
  cursorType: 'pointer',
  respectReducedMotion: true,
} as const satisfies MantineThemeOverride;
