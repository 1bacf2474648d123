import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { NextConfig } from 'next';
import { readyFiles } from './scripts/page-files.cjs';

/** What is worked out of an engine's rows depends on these alone. */
const RECKONED_BY = ['src/core', 'src/model', 'src/db'];

/** The same for as long as none of them is altered, whoever builds it and wherever. */
function reckoningMark(): string {
  const mark = createHash('sha256');
  for (const folder of RECKONED_BY)
    for (const file of readdirSync(join(__dirname, folder), { recursive: true, encoding: 'utf8' }).sort())
      if (/\.(ts|sql)$/.test(file))
        mark.update(file.replaceAll('\\', '/')).update(readFileSync(join(__dirname, folder, file)));
  return mark.digest('base64url').slice(0, 16);
}

const config: NextConfig = {
  env: { SPANNER_RECKONING: reckoningMark() },
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are checked by `npm run check` and `npm test`; whoever only wants to run it does not wait for it again.
  typescript: { ignoreBuildErrors: true },
  compiler: { runAfterProductionCompile: ({ distDir }) => readyFiles(distDir) },
  turbopack: { root: __dirname },
  experimental: {
    // A build file or a table comes in by a form; the limit is the door's, which says so.
    serverActions: { bodySizeLimit: '60mb' },
    // A page's program is read in when it is first asked for: all sixty at the start kept the first page waiting.
    preloadEntriesOnStart: false,
    // Sheets by what a page has on it: the usual way puts those of all pages into each.
    cssChunking: { type: 'graph', requestCost: 20_000, weightDistribution: 0.4 },
    optimizePackageImports: ['@mantine/core', '@mantine/hooks'],
  },
  images: { unoptimized: true },
};

export default config;
