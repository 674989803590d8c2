import type { Page } from '@playwright/test';

/**
 * The texts of a page whose contrast is under a ratio, with their ratio. Contrast as WCAG 2.2 defines it (from memory: relative
 * luminance of sRGB, (lighter + 0.05) ÷ (darker + 0.05); AAA is 7 for text). Drawings and what is disabled are left out.
 */
export function textsUnder(page: Page, least: number): Promise<string[]> {
  return page.evaluate(wanted => {
    const numbers = (colour: string) => (colour.match(/[\d.]+/g) ?? []).map(Number);
    const luminance = (rgb: number[]) => {
      const [r = 0, g = 0, b = 0] = rgb
        .slice(0, 3)
        .map(value => value / 255)
        .map(value => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4));
      return 0.2126 * r + 0.7152 * g + 0.0722 * b;
    };
    const behind = (element: Element): number[] => {
      for (let at: Element | null = element; at; at = at.parentElement) {
        const colour = numbers(getComputedStyle(at).backgroundColor);
        if (colour.length === 3 || (colour[3] ?? 0) > 0.5) return colour;
      }
      return [255, 255, 255];
    };
    const found = new Set<string>();
    for (const element of document.querySelectorAll('article *')) {
      const says = [...element.childNodes].some(node => node.nodeType === Node.TEXT_NODE && node.textContent?.trim());
      const skip = element.closest('svg, [disabled], [data-disabled]') || element.getClientRects().length === 0;
      if (!says || skip) continue;
      const [a, b] = [numbers(getComputedStyle(element).color), behind(element)].map(luminance) as [number, number];
      const ratio = (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
      if (ratio < wanted) found.add(`${element.textContent?.trim().slice(0, 40)}: ${ratio.toFixed(2)}`);
    }
    return [...found];
  }, least);
}
