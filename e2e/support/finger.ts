import type { Page } from '@playwright/test';

type Place = { x: number; y: number };

/** A finger on a screen that has touch: what it does goes through all that a browser does with it, scrolling too. */
export async function finger(page: Page) {
  const session = await page.context().newCDPSession(page);
  const does = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...touchPoints: Place[]) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints });
  return {
    /** Goes down at a place and over the screen to another, and stays there. */
    drag: async (from: Place, to: Place) => {
      await does('touchStart', from);
      for (let step = 1; step <= 8; step += 1)
        await does('touchMove', { x: from.x + ((to.x - from.x) * step) / 8, y: from.y + ((to.y - from.y) * step) / 8 });
    },
    lift: () => does('touchEnd').catch(() => undefined),
  };
}
