import '@/interface/theme/mantine-parts.css';
import '@/interface/theme/tokens.css';
import '@/interface/theme/base.css';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { Metadata } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { preferencesFrom } from '@/interface/figures/preference-cookies';
import { PreferencesProvider } from '@/interface/figures/preferences';
import { fontVariables } from '@/interface/theme/fonts';
import { writeLineAction } from '@/features/order/actions';
import { removePhotoAction, setAsideAction, takeAwayAction, undoAction } from '@/features/removal/actions';
import { UndoProvider } from '@/interface/parts/undo';
import { HeadingFocus } from '@/interface/shell/heading-focus';
import { SHEET } from '@/interface/shell/sheet-id';
import { currentShopName } from '@/server/current-shop';
import { PartsProvider } from '@/interface/theme/parts-provider';

export const metadata: Metadata = {
  title: { default: 'Unhurried Spanner', template: '%s · Unhurried Spanner' },
  description: 'From the figure on the page to the figure on the wrench, at the clamp load the designer meant.',
};

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const jar = await cookies();
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  // What is typed and not sent belongs to the shop that it was typed in.
  const shop = await currentShopName();
  const preferences = preferencesFrom((name) => jar.get(name)?.value);
  return (
    <html
      lang="en"
      {...mantineHtmlProps}
      className={fontVariables}
      data-contrast={preferences.contrast}
      data-shop={shop}
    >
      <head>
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} />
      </head>
      <body>
        <PartsProvider>
          <a href={`#${SHEET}`} className="skip">
            To the sheet
          </a>
          <HeadingFocus />
          <PreferencesProvider initial={preferences}>
            <UndoProvider
              undo={undoAction}
              takeAway={takeAwayAction}
              setAside={setAsideAction}
              removePhoto={removePhotoAction}
              writeLine={writeLineAction}
            >
              {children}
            </UndoProvider>
          </PreferencesProvider>
        </PartsProvider>
      </body>
    </html>
  );
}
