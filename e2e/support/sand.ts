import type { Locator, Page } from '@playwright/test';

type PointM = { xM: number; yM: number };

/**
 * Where something really is on the sand, A at the left as the desk shows it: the middle of its rails, or of its shape where
 * it has none, read from the geometry of the page.
 */
export async function drawnAt(shape: Locator): Promise<PointM> {
  const found = await shape.evaluate(node => {
    const drawing = (node.querySelector('[data-rail]') ?? node) as SVGGraphicsElement;
    const paper = drawing.ownerSVGElement?.getScreenCTM();
    if (!paper) return null;
    const { x, y, width, height } = drawing.getBBox();
    const toPaper = paper.inverse().multiply(drawing.getScreenCTM()!);
    const middle = new DOMPoint(x + width / 2, y + height / 2).matrixTransform(toPaper);
    return { xM: middle.y, yM: middle.x };
  });
  // Let go, it is drawn anew: what was looked at may be off the page already.
  return found ?? drawnAt(shape);
}

/** Where the frame of something lies that is drawn in one of its own. */
export async function originAt(shape: Locator): Promise<PointM> {
  return shape.evaluate(node => {
    const drawing = node as SVGGraphicsElement;
    const paper = drawing.ownerSVGElement!.getScreenCTM()!.inverse().multiply(drawing.getScreenCTM()!);
    return { xM: paper.f, yM: paper.e };
  });
}

/** All prints that are shown, in the order of the track. */
export async function hoofsAt(page: Page): Promise<PointM[]> {
  const prints = page.locator('[data-hoof]');
  return Promise.all((await prints.all()).map(drawnAt));
}

/** A piece on the sand by its id, or by what it is called: "heron", "pole A". */
export const item = (page: Page, called: string) =>
  page
    .locator(`[data-item="${called}"]`)
    .or(
      page.locator('[data-item]').and(page.getByRole('button', { name: new RegExp(`^([a-z0-9 -]+ )?${called}(,|$)`) })),
    );

/** Its drawing. */
export const drawing = (page: Page, called: string) =>
  page.locator(`[data-drawn="${called}"]`).or(item(page, called).locator('[data-drawn]'));

/** The place on the screen of a place on the sand. */
export async function onScreen(page: Page, { xM, yM }: PointM): Promise<{ x: number; y: number }> {
  return page.locator('[data-layer="still"]').evaluate(
    (node, at) => {
      const { x, y } = new DOMPoint(at.yM, at.xM).matrixTransform((node as unknown as SVGSVGElement).getScreenCTM()!);
      return { x, y };
    },
    { xM, yM },
  );
}

/** Whether what is dragged is drawn there: its canvas has ink at a place on the screen. */
export async function inkAt(page: Page, { x, y }: { x: number; y: number }): Promise<boolean> {
  return page
    .locator('[data-painted="sand"] canvas')
    .last()
    .evaluate(
      (node, at) => {
        const canvas = node as HTMLCanvasElement;
        // Of one pixel while nothing is on its way.
        if (canvas.width < 2) return false;
        const { left, top, width } = canvas.getBoundingClientRect();
        const scale = canvas.width / width;
        const near = 4 * scale;
        const [fromX, fromY] = [(at.x - left) * scale - near, (at.y - top) * scale - near];
        // A canvas that was handed to a painter beside the page shows its pictures, and can only be copied.
        const copy = new OffscreenCanvas(canvas.width, canvas.height).getContext('2d')!;
        copy.drawImage(canvas, 0, 0);
        const { data } = copy.getImageData(fromX, fromY, near * 2, near * 2);
        return data.some((value, index) => index % 4 === 3 && value > 0);
      },
      { x, y },
    );
}

/** Waits for the painter that a drag is to be painted by. */
export async function paintedIn(page: Page, place: 'page' | 'worker'): Promise<void> {
  await page.locator(`[data-painted="sand"][data-painted-in="${place}"]`).waitFor({ state: 'attached' });
}

/** Takes hold of what lies at one place on the sand and goes to another, as a hand does: in several moves. */
export async function hold(page: Page, from: PointM, to: PointM): Promise<void> {
  const [start, end] = [await onScreen(page, from), await onScreen(page, to)];
  await page.mouse.move(start.x, start.y);
  await page.mouse.down();
  await page.mouse.move((start.x + end.x) / 2, (start.y + end.y) / 2, { steps: 4 });
  await page.mouse.move(end.x, end.y, { steps: 4 });
}

/** Drags from one place on the sand to another. */
export async function drag(page: Page, from: PointM, to: PointM): Promise<void> {
  await hold(page, from, to);
  await page.mouse.up();
}

/** Taps a place on the sand. */
export async function tap(page: Page, at: PointM): Promise<void> {
  const { x, y } = await onScreen(page, at);
  await page.mouse.click(x, y);
}

/** Types into a field and leaves it. */
export async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** Begins a layout for these horses and waits for its sand. */
export async function newLayout(page: Page, url: string, name: string, arena: string, horses: string[]): Promise<void> {
  await page.goto(`${url}/plan`);
  await page.getByRole('button', { name: 'New layout' }).click();
  await page.getByLabel('Name').fill(name);
  await page.getByRole('combobox', { name: 'Arena' }).click();
  await page.getByRole('option', { name: arena, exact: true }).click();
  await page.getByRole('combobox', { name: 'Horses of the lesson' }).click();
  for (const horse of horses) await page.getByRole('option', { name: horse, exact: true }).click();
  await page.getByLabel('Name').click();
  await page.getByRole('button', { name: 'Make the layout' }).click();
  await page.getByLabel('Name of the layout').waitFor();
}

/** Takes an exercise from the shelf and puts it on the sand. */
export async function fromShelf(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: 'Shelf' }).click();
  await page.getByLabel('Search the shelf').fill(title);
  await page.getByRole('button', { name: new RegExp(`^${title}`) }).click();
  await page.getByRole('button', { name: 'Put it on the sand' }).click();
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
}

/** Lays an item down and types where it lies. */
export async function layDown(
  page: Page,
  kind: string,
  place: { name?: string; xM: string; yM: string; facing?: string },
) {
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: kind, exact: true }).click();
  if (place.name) await type(page, 'Called', place.name);
  await page.getByLabel(/^From .*long side$/).fill(place.xM);
  await page.getByLabel(/^From .*long side$/).press('Enter');
  await page.getByLabel(/^From .*short side$/).fill(place.yM);
  await page.getByLabel(/^From .*short side$/).press('Enter');
  if (place.facing) await type(page, 'Ridden towards, degrees', place.facing);
}

/** Turns the panel beside the sand to one of its parts. */
export async function panel(page: Page, part: 'Numbers' | 'Track' | 'Cautions'): Promise<void> {
  await page
    .getByRole('radiogroup', { name: 'Panel' })
    .getByText(new RegExp(`^${part}`))
    .click();
}

export const saved = (page: Page) => page.getByRole('status').filter({ hasText: /^Saved$/ });
