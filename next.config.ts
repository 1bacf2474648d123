import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // The tests are checked with the rest by `npm test`; a build needs only what it serves.
  typescript: { tsconfigPath: 'tsconfig.build.json' },
  turbopack: { root: __dirname },
  experimental: {
    // A build file or a table comes in by a form; the limit is the door's, which says so.
    serverActions: { bodySizeLimit: '60mb' },
    optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'],
  },
  images: { unoptimized: true },
};

export default config;
