import { withSerwist } from '@serwist/turbopack';

/** @type {import('next').NextConfig} */
const config = {
  poweredByHeader: false,
  /** What holds for every answer, also for files and for what does not come through the proxy. */
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'x-content-type-options', value: 'nosniff' },
        { key: 'x-frame-options', value: 'DENY' },
        { key: 'referrer-policy', value: 'same-origin' },
        { key: 'cross-origin-opener-policy', value: 'same-origin' },
        { key: 'cross-origin-resource-policy', value: 'same-origin' },
        { key: 'permissions-policy', value: 'camera=(), microphone=(), geolocation=(), payment=(), usb=()' },
      ],
    },
    {
      source: '/api/:path*',
      headers: [{ key: 'content-security-policy', value: "default-src 'none'; frame-ancestors 'none'; sandbox" }],
    },
  ],
  devIndicators: false,
  // Roan says that it is at 127.0.0.1; while one edits, it is served there too.
  allowedDevOrigins: ['127.0.0.1'],
  serverExternalPackages: ['@libsql/client', '@libsql/hrana-client', 'libsql', 'pdfkit'],
  experimental: { optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'] },
};

export default withSerwist(config);
