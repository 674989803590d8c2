import { createSerwistRoute } from '@serwist/turbopack';

/** The worker that answers where there is no connection (src/workers/offline), with the list of all files of this build. */
export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: 'src/workers/offline/worker.ts',
  useNativeEsbuild: true,
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
});
