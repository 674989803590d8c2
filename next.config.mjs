import { withSerwist } from '@serwist/turbopack';
import { EVERY_ANSWER, ROUTE_ANSWER } from './scripts/lib/answerHeaders.mjs';

/** @type {import('next').NextConfig} */
const config = {
  poweredByHeader: false,
  headers: async () => [
    {
      source: '/:path*',
      headers: EVERY_ANSWER,
    },
    {
      source: '/api/:path*',
      headers: ROUTE_ANSWER,
    },
  ],
  // `npm test` asks for the types; whoever starts Roan need not wait for that.
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
  // Roan says that it is at 127.0.0.1; while one edits, it is served there too.
  allowedDevOrigins: ['127.0.0.1'],
  serverExternalPackages: ['@libsql/client', '@libsql/hrana-client', 'libsql', 'pdfkit'],
  experimental: {
    optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'],
    // A page asks for what it uses, and not for what stands beside it in a file.
    turbopackRemoveUnusedImports: true,
    turbopackRemoveUnusedExports: true,
    turbopackCrossModuleConstants: true,
    // Four scripts a page, one of them its own: they pack a tenth smaller than many, and the first visit waits for fewer.
    turbopackChunking: { minChunkSize: 600_000, maxMergeChunkSize: 2_000_000 },
  },
};

export default withSerwist(config);
