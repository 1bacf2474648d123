import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link whose page is asked for when it is pressed. Every page is drawn anew from the file, so that one asked for before
 * would be run on the server for nothing, or shown as it was.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => <NextLink prefetch={false} {...props} />;
