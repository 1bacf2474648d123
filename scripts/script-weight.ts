import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

const BUILT = '.next';

/** Bytes of a built script, packed by gzip as it is sent. */
const packed = (name: string): number => statSync(join(BUILT, `${name}.gz`)).size;

/** Bytes of the framework alone, which every page is sent, packed by gzip. */
export function frameworkBytes(): number {
  const { rootMainFiles } = JSON.parse(readFileSync(join(BUILT, 'build-manifest.json'), 'utf8')) as {
    readonly rootMainFiles: readonly string[];
  };
  return rootMainFiles.reduce((sum, name) => sum + packed(name), 0);
}

/**
 * Bytes of the scripts that a page names as it is sent, packed by gzip: what has to be there before it comes alive. What
 * a part of it fetches once it is seen, opened or typed into comes later, and is not counted.
 */
export function scriptBytes(html: string): number {
  const names = [...html.matchAll(/<script\b([^>]*)>/gi)].flatMap(([, attributes = '']) => {
    const source = /\bsrc="\/_next\/(static\/chunks\/[^"?]+\.js)/.exec(attributes)?.[1];
    // Old browsers alone fetch these.
    return source && !/\bnomodule\b/i.test(attributes) ? [source] : [];
  });
  return [...new Set(names)].reduce((sum, name) => sum + packed(name), 0);
}
