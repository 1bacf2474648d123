'use client';

import { Button } from '@/interface/parts/button';

/** Prints the page as it stands. */
export const PrintKey = ({ what }: { readonly what: string }) => <Button onClick={() => window.print()}>{what}</Button>;
