import { asOfWords } from '@/files/asOfWords';
import type { KeptPage } from './keeper';

const escaped = (text: string) => text.replace(/[&<>"']/g, letter => `&#${letter.charCodeAt(0)};`);

const STYLE = `body{margin:0;background:#f7f4ec;color:#22282b;font:1.05rem/1.5 system-ui,sans-serif}
main{max-width:38rem;margin:0 auto;padding:1.5rem}h1{font-size:1.5rem}a{color:inherit}
ul{list-style:none;padding:0}li a{display:block;padding:.7rem 0;border-bottom:1px solid #c9c2b4}small{display:block;opacity:.75}
@media (prefers-color-scheme:dark){body{background:#22282b;color:#f7f4ec}}`;

/**
 * The page that is shown where the server cannot be reached and the one that was asked for is not kept: what is, and what waits.
 * @param waiting - how much is kept here that the server does not have; null where nobody can say
 */
export function notKeptPage(kept: readonly KeptPage[], waiting: number | null, nowMs: number): string {
  const items = kept
    .map(
      ({ href, words, atMs }) =>
        `<li><a href="${escaped(href)}">${escaped(words)}<small>${asOfWords(atMs, nowMs)}</small></a></li>`,
    )
    .join('');
  const waits =
    waiting === null || waiting === 0
      ? ''
      : `<p>${waiting} ${waiting === 1 ? 'tap waits' : 'taps wait'} on this device, and ${waiting === 1 ? 'is' : 'are'} sent as soon as Roan can be reached.</p>`;
  const list = items
    ? `<p>This page is not kept on this device. These are:</p><ul>${items}</ul>`
    : '<p>No page is kept on this device. Come back where there is a connection.</p>';
  return `<!doctype html><html lang="en-GB"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>No connection · Roan</title><style>${STYLE}</style></head><body><main><h1>Roan cannot be reached</h1>${list}${waits}<p><a href="">Try again</a></p></main></body></html>`;
}
