/** @type {import('next').NextConfig} */
const config = {
  poweredByHeader: false,
  devIndicators: false,
  // Roan says that it is at 127.0.0.1; while one edits, it is served there too.
  allowedDevOrigins: ['127.0.0.1'],
  serverExternalPackages: ['@libsql/client', 'libsql', 'pdfkit'],
  experimental: { optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'] },
};

export default config;
