'use client';

import { MantineProvider } from '@mantine/core';
import type { ReactNode } from 'react';
import { theme } from './theme';

/** The look of the parts: their variables are in a style sheet, their theme in the script, and no page says them. */
export const PartsProvider = ({ children }: { readonly children: ReactNode }) => (
  <MantineProvider
    theme={theme}
    defaultColorScheme="auto"
    withCssVariables={false}
    withGlobalClasses={false}
    withStaticClasses={false}
  >
    {children}
  </MantineProvider>
);
