import type { MetadataRoute } from 'next';

/** What a device shows of Roan where it is put on the home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Roan',
    short_name: 'Roan',
    description: 'Arena exercises to scale, reckoned from each horse’s own stride',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#f7f4ec',
    theme_color: '#8f3820',
    lang: 'en-GB',
    icons: [
      { src: '/icons/roan-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/roan-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/roan-whole-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [
      { name: 'Teach', url: '/ride' },
      { name: 'Set out', url: '/set' },
    ],
  };
}
