import type { Page } from '@playwright/test';

/**
 * What is wrong with the pictures of a page as it is drawn: words that are cut off at an edge of their picture, that lie on each
 * other or are too small to read, and whatever is wider than the page.
 */
export function pictureFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const LEAST_PX = 9.5;
    const faults: string[] = [];
    const wide = document.documentElement.scrollWidth - document.documentElement.clientWidth;
    if (wide > 1) faults.push(`the page is ${wide} px too wide`);
    for (const svg of document.querySelectorAll<SVGSVGElement>('main svg[role="img"]')) {
      const name = svg.getAttribute('aria-label') ?? '';
      const paper = svg.getBoundingClientRect();
      if (paper.width === 0) continue;
      if (paper.right > document.documentElement.clientWidth + 1) faults.push(`${name}: wider than the page`);
      const words = [...svg.querySelectorAll('text')]
        .map(text => ({ text: text.textContent ?? '', box: text.getBoundingClientRect(), own: text }))
        .filter(({ text, box }) => text.trim() !== '' && box.width > 0);
      for (const { text, box, own } of words) {
        const px = (Number.parseFloat(getComputedStyle(own).fontSize) * paper.width) / svg.viewBox.baseVal.width;
        if (px < LEAST_PX) faults.push(`${name}: “${text}” is ${px.toFixed(1)} px high`);
        if (box.left < paper.left - 1 || box.right > paper.right + 1) faults.push(`${name}: “${text}” is cut off`);
        if (box.top < paper.top - 3 || box.bottom > paper.bottom + 3)
          faults.push(`${name}: “${text}” is cut off above or below`);
      }
      // A line of letters is taller than its letters: a little of it may be shared.
      words.forEach((one, at) => {
        for (const other of words.slice(at + 1)) {
          const across = Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left);
          const down = Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top);
          if (across > 1 && down > one.box.height * 0.35) faults.push(`${name}: “${one.text}” lies on “${other.text}”`);
        }
      });
    }
    return faults;
  });
}
