import { expect, test } from './support/fixtures';
import {
  drag,
  drawing,
  drawnAt,
  fromShelf,
  hold,
  hoofsAt,
  inkAt,
  item,
  layDown,
  newLayout,
  onScreen,
  paintedIn,
  panel,
  originAt,
  saved,
  tap,
  type,
} from './support/sand';

const near = (value: number) => expect.closeTo(value, 3);

test('from empty sand to a bend of four fences for three horses, mended, saved and there again', async ({
  demoYard,
  strictPage: page,
}) => {
  await newLayout(page, demoYard.url, 'Bend of four', 'Lower school', ['Quill', 'Larkspur', 'Osprey']);
  await expect(page.getByText('Empty sand.')).toBeVisible();
  await fromShelf(page, 'Fences on a bend');
  await expect(page.getByRole('heading', { name: 'Fences on a bend' }).first()).toBeVisible();
  await type(page, 'Fences', '4');
  await expect(page.locator('[data-kind="fence"]')).toHaveCount(4);

  // Common practice, no source: on the arc of a circle of 10 m radius, about the middle of a 20 × 40 arena.
  for (const fence of await page.locator('[data-kind="fence"]').all()) {
    const at = await drawnAt(fence);
    expect(Math.hypot(at.xM - 10, at.yM - 20)).toBeCloseTo(10, 3);
  }
  // A row of the ribbon for each horse, and its words.
  for (const horse of ['Quill', 'Larkspur', 'Osprey'])
    await expect(page.locator(`[data-horse="${horse}"]`).first()).toHaveText(horse);

  // The stands come too near to the walls: it is counted on the bar and marked on the sand; each is mended, and a mend is one step.
  await expect(page.getByRole('button', { name: /^\d+ cautions?$/ })).toBeVisible();
  await expect(page.locator('[data-caution]').first()).toHaveAccessibleName(/stand of fence \d is .* from the wall/);
  await panel(page, 'Cautions');
  const cautions = page.getByRole('region', { name: 'Cautions' });
  await expect(cautions.getByText(/stand of fence 1 is .* from the wall/)).toBeVisible();
  const before = await drawnAt(page.locator('[data-kind="fence"]').first());
  // First it is shown what a mend would do, on the sand and in words; nothing is made until somebody says so.
  await cautions.getByRole('button', { name: 'Show a mend' }).first().click();
  const offered = cautions.getByRole('group', { name: 'What a mend would do' });
  await expect(offered.getByText(/moved by/).first()).toBeVisible();
  await expect(page.locator('[data-mend]')).toBeVisible();
  expect(await drawnAt(page.locator('[data-layer="still"] [data-kind="fence"]').first())).toEqual(before);
  await offered.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.locator('[data-mend]')).toHaveCount(0);
  await cautions.getByRole('button', { name: 'Show a mend' }).first().click();
  await offered.getByRole('button', { name: 'Make this change' }).click();
  await expect(page.getByText(/came apart for it/)).toBeVisible();
  await expect(cautions.getByText(/stand of fence 1 is .* from the wall/)).toHaveCount(0);
  const mended = await drawnAt(page.locator('[data-kind="fence"]').first());
  expect(mended).not.toEqual(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cautions.getByText(/stand of fence 1 is .* from the wall/)).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(cautions.getByText(/stand of fence 1 is .* from the wall/)).toHaveCount(0);

  await expect(saved(page)).toBeVisible();
  await page.reload();
  await expect(page.locator('[data-kind="fence"]')).toHaveCount(4);
  const again = await drawnAt(page.locator('[data-kind="fence"]').first());
  expect(again).toEqual({ xM: near(mended.xM), yM: near(mended.yM) });
});

/** Fences of a small course in an arena of 35 × 60 m: where, and the way each faces. */
const COURSE = [
  { name: 'heron', kind: 'Vertical', xM: '8.75', yM: '16', facing: '0' },
  { name: 'willow', kind: 'Oxer', xM: '8.75', yM: '34.5', facing: '0' },
  { name: 'plover', kind: 'Vertical', xM: '26.25', yM: '38', facing: '180' },
  { name: 'alder', kind: 'Vertical', xM: '26.25', yM: '20', facing: '180' },
  { name: 'linnet', kind: 'Oxer', xM: '11.5', yM: '22', facing: '30' },
  { name: 'hazel', kind: 'Cross-rail', xM: '17.15', yM: '31.79', facing: '30' },
  { name: 'rowan', kind: 'Wall', xM: '20.5', yM: '11', facing: '90' },
] as const;

test(
  'a course of eight by hand, one fence ridden from behind',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await newLayout(page, demoYard.url, 'Course', 'Field arena', ['Quill', 'Osprey']);
    for (const fence of COURSE) await layDown(page, fence.kind, fence);
    // Drawn where they were typed, to the millimetre.
    for (const { name, xM, yM } of COURSE)
      expect(await drawnAt(drawing(page, name))).toEqual({ xM: near(Number(xM)), yM: near(Number(yM)) });

    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Add a track' }).click();
    // Each is tapped a little on the side one comes from.
    const comeFrom = (name: string, behind = false) => {
      const fence = COURSE.find(one => one.name === name)!;
      const heading = (Number(fence.facing) * Math.PI) / 180;
      const byM = behind ? 0.35 : -0.35;
      return { xM: Number(fence.xM) + byM * Math.sin(heading), yM: Number(fence.yM) + byM * Math.cos(heading) };
    };
    for (const name of ['heron', 'willow', 'plover', 'alder', 'linnet', 'hazel']) await tap(page, comeFrom(name));
    await tap(page, comeFrom('willow', true));
    await tap(page, comeFrom('rowan'));
    await page.getByRole('button', { name: 'End the track' }).click();
    await panel(page, 'Track');
    const stops = page.getByRole('region', { name: /^Track/ }).getByRole('listitem');
    await expect(stops).toHaveText([
      '1 heron',
      '2 willow',
      '3 plover',
      '4 alder',
      '5 linnet',
      '6 hazel',
      '7 willow, from behind',
      '8 rowan',
    ]);
    await expect(page.locator('[data-written]').getByText('2·7')).toBeVisible();

    // In line, centre to centre 18.5 m; from the front of the oxer (0.6 m deep) 0.3 m less.
    const leg = page.getByRole('button', { name: /^From heron \(fence 1\) to willow/ });
    await expect(leg).toHaveAccessibleName('From heron (fence 1) to willow (fence 2), 18.20 m');
    await leg.click();
    await expect(page.getByText(/18\.50 m centre to centre/)).toBeVisible();
    await expect(item(page, 'willow')).toHaveAccessibleName(
      /^oxer 2 willow, .* 18\.20 m from heron \(fence 1\), .* for Quill$/,
    );

    // Five are asked for, and the oxer moves: Quill's six strides of ground behind the front of the first.
    await type(page, 'Asked strides', '5');
    await page.getByRole('button', { name: 'Move willow (fence 2) for Quill' }).click();
    await expect(page.getByRole('table', { name: 'What each horse makes of it' })).toContainText('easy');
    const moved = await drawnAt(drawing(page, 'willow'));
    expect(moved.xM).toBeCloseTo(8.75, 3);
    expect(moved.yM).toBeGreaterThan(36);
    // And the prints between them are a stride apart: landing and take-off half a stride from each fence.
    const groundM = moved.yM - 0.3 - 16;
    const strideM = groundM / 6;
    const prints = (await hoofsAt(page)).slice(0, 6);
    prints.forEach(({ xM, yM }, index) => {
      expect(xM).toBeCloseTo(8.75, 3);
      expect(yM).toBeCloseTo(16 + strideM * (index + 0.5), 3);
    });

    // A leg is drawn through a point, switched to the shortest, and the whole is called out.
    await page.getByRole('button', { name: /^From hazel \(fence 6\) to willow/ }).click();
    await page.getByRole('radiogroup', { name: 'Way' }).getByText('through a point').click();
    const via = await drawnAt(page.locator('[data-via]'));
    await drag(page, via, { xM: 16, yM: 48 });
    const through = await drawnAt(page.locator('[data-via]'));
    expect(through.xM).toBeCloseTo(16, 1);
    expect(through.yM).toBeCloseTo(48, 1);
    await page.getByRole('button', { name: 'Call sheet' }).click();
    await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(8);
    await expect(page.getByRole('dialog')).toContainText('7. willow oxer, from behind');
    await page.keyboard.press('Escape');

    // Walked from fence to fence.
    await page.getByRole('button', { name: 'Walk it' }).click();
    await page.getByRole('button', { name: 'Wait' }).click();
    await page.getByRole('button', { name: 'On to the next' }).click();
    const walker = await originAt(page.locator('[data-walker]'));
    const willow = await drawnAt(drawing(page, 'willow'));
    expect(walker).toEqual({ xM: near(willow.xM), yM: near(willow.yM) });
  },
);

test(
  'a flat session: a serpentine of three loops, then a spiral',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await newLayout(page, demoYard.url, 'Suppling', 'Lower school', ['Quill']);
    await fromShelf(page, 'A serpentine');
    await fromShelf(page, 'A spiral in and out');
    await panel(page, 'Track');
    await expect(page.getByRole('region', { name: 'Track flat work' })).toContainText(
      'a serpentine, then a spiral in and out',
    );
    await panel(page, 'Numbers');
    await page.getByRole('button', { name: 'Back to the whole layout' }).click();
    await expect(page.getByRole('button', { name: 'A serpentine', exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'A serpentine', exact: true }).click();
    await expect(page.getByLabel('Loops', { exact: true })).toHaveValue('3');
    await page.getByRole('button', { name: 'Back to the whole layout' }).click();
    // Facts of the trade (common practice, no source): three loops change the rein twice.
    await expect(page.getByRole('region', { name: 'The layout' })).toContainText('2 changes of rein');
    // Prints a normal trot stride apart along the track: on the straight wall as far as on paper.
    const prints = await hoofsAt(page);
    expect(prints.length).toBeGreaterThan(100);
    await expect(saved(page)).toBeVisible();
    await page.reload();
    await expect(page.getByRole('button', { name: 'A spiral in and out', exact: true })).toBeVisible();
    expect((await hoofsAt(page)).length).toBe(prints.length);

    // A figure that leaves the sand says so, and undo brings it back.
    await page.getByRole('button', { name: 'A spiral in and out', exact: true }).click();
    await page.getByLabel('From A short side').fill('30');
    await page.getByLabel('From A short side').press('Enter');
    await panel(page, 'Cautions');
    await expect(page.getByRole('region', { name: 'Cautions' })).toContainText('Flat work leaves the sand.');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('region', { name: 'Cautions' })).not.toContainText('leaves the sand');
    expect((await hoofsAt(page)).length).toBe(prints.length);
  },
);

test(
  'two windows on one layout: the second save is refused and both versions are kept',
  { tag: '@full' },
  async ({ demoYard, strictPage: page, context }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Course of eight/ }).click();
    await expect(item(page, 'heron')).toBeVisible();
    const other = await context.newPage();
    await other.goto(page.url());
    const move = async (window: typeof page, yM: string) => {
      await window.bringToFront();
      await item(window, 'heron').click();
      await window.getByLabel('From near short side').fill(yM);
      await window.getByLabel('From near short side').press('Enter');
    };
    await move(other, '15');
    await expect(saved(other)).toBeVisible();
    await move(page, '14');
    await expect(page.getByText('This layout was changed in another window')).toBeVisible();
    await page.getByRole('button', { name: 'Keep mine as a copy' }).click();
    await expect(page.getByLabel('Name of the layout')).toHaveValue('Course of eight, low (mine)');
    expect((await drawnAt(drawing(page, 'heron'))).yM).toBeCloseTo(14, 3);
    await other.bringToFront();
    await other.reload();
    expect((await drawnAt(drawing(other, 'heron'))).yM).toBeCloseTo(15, 3);
  },
);

test(
  'undo goes back over everything, to the empty sand and the first name',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await newLayout(page, demoYard.url, 'First', 'Lower school', ['Quill']);
    await page.getByLabel('Name of the layout').fill('Second');
    await page.getByLabel('Name of the layout').press('Enter');
    await fromShelf(page, 'A row of trot poles');
    await type(page, 'Poles', '5');
    await page.getByRole('button', { name: 'Break apart', exact: true }).click();
    await expect(page.getByRole('heading', { name: '5 things' })).toBeVisible();
    await page.getByRole('button', { name: 'Space evenly' }).click();
    await type(page, 'From one to the next, centre to centre', '1.5');
    await page.getByRole('button', { name: 'Other rein' }).click();
    await page.getByRole('button', { name: 'Copy' }).click();
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(10);
    await page.getByRole('button', { name: 'Lock' }).click();
    await page.getByRole('button', { name: 'Unlock' }).click();
    await page.getByRole('button', { name: 'Take off the sand' }).click();
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(5);
    const undo = page.getByRole('button', { name: 'Undo' });
    while (await undo.isEnabled()) await undo.click();
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(0);
    await expect(page.getByLabel('Name of the layout')).toHaveValue('First');
    const redo = page.getByRole('button', { name: 'Redo' });
    while (await redo.isEnabled()) await redo.click();
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(5);
    await expect(page.getByLabel('Name of the layout')).toHaveValue('Second');
    await expect(saved(page)).toBeVisible();
  },
);

test(
  'by keys alone: a pole is laid, moved, turned, copied, ridden and taken away',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await newLayout(page, demoYard.url, 'Keys', 'Lower school', ['Quill', 'Osprey']);
    await expect(page.getByText('Empty sand.')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.locator('body').focus();
    await page.keyboard.press('l');
    const first = page.getByRole('menuitem', { name: 'Pole', exact: true });
    await expect(first).toBeVisible();
    // The menu takes the keys a moment after it is seen.
    await expect(async () => {
      await page.keyboard.press('ArrowDown');
      await expect(first).toBeFocused({ timeout: 1000 });
    }).toPass();
    await page.keyboard.press('Enter');
    await expect(item(page, 'pole A')).toHaveCount(1);
    await item(page, 'pole A').focus();
    // Up on the page is towards the E long side.
    await page.keyboard.press('ArrowUp');
    expect(await drawnAt(drawing(page, 'pole A'))).toEqual({ xM: near(9.75), yM: near(20) });
    await page.keyboard.press('Shift+ArrowLeft');
    await page.keyboard.press('Alt+ArrowLeft');
    expect(await drawnAt(drawing(page, 'pole A'))).toEqual({ xM: near(9.75), yM: near(18.99) });
    await page.keyboard.press('.');
    await expect(page.getByLabel('Ridden towards, degrees')).toHaveValue('5');
    await page.keyboard.press('m');
    expect((await drawnAt(drawing(page, 'pole A'))).xM).toBeCloseTo(10.25, 3);
    await expect(page.getByLabel('Ridden towards, degrees')).toHaveValue('355');
    await page.keyboard.press('c');
    await expect(item(page, 'pole B')).toHaveCount(1);
    await page.keyboard.press('k');
    await page.keyboard.press('Delete');
    await expect(item(page, 'pole B')).toHaveCount(1);
    await page.keyboard.press('k');

    // A track over both, the second from behind; the next horse's strides; then the last stop goes again.
    await page.keyboard.press('Escape');
    await page.keyboard.press('r');
    await item(page, 'pole A').focus();
    await page.keyboard.press('Enter');
    // The first has its number now, so the other is the first that has none.
    await item(page, 'pole A').focus();
    await page.keyboard.press('Shift+Enter');
    await panel(page, 'Track');
    await expect(page.getByRole('region', { name: /^Track/ }).getByRole('listitem')).toHaveText([
      '1 pole',
      '2 pole, from behind',
    ]);
    await expect(page.getByRole('button', { name: 'Show the strides of Quill' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await page.keyboard.press('h');
    await expect(page.getByRole('button', { name: 'Show the strides of Osprey' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    // A horse is chosen by a press on its name, too.
    await page.getByRole('button', { name: 'Show the strides of Quill' }).click();
    await expect(page.getByRole('button', { name: 'Show the strides of Quill' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await item(page, 'pole 2').focus();
    await page.keyboard.press('Backspace');
    await expect(page.getByRole('region', { name: /^Track/ }).getByRole('listitem')).toHaveCount(1);
    await page.keyboard.press('Escape');

    // All of it selected and taken off, brought back and saved.
    await page.keyboard.press('a');
    await page.keyboard.press('Delete');
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(page.locator('[data-kind="pole"]')).toHaveCount(2);
    await expect(saved(page)).toBeVisible();
  },
);

for (const place of ['worker', 'page'] as const)
  test(
    `dragged, a fence is drawn to lines and to a whole count, painted in the ${place}`,
    { tag: place === 'page' ? '@full' : [] },
    async ({ demoYard, strictPage: page }) => {
      // A browser that cannot hand a canvas over paints in the page.
      if (place === 'page') await page.addInitScript('delete HTMLCanvasElement.prototype.transferControlToOffscreen');
      await page.goto(`${demoYard.url}/plan`);
      await page.getByRole('link', { name: /Course of eight/ }).click();
      await expect(item(page, 'heron')).toBeVisible();
      await paintedIn(page, place);
      await hold(page, { xM: 8.75, yM: 34.5 }, { xM: 8.85, yM: 38.2 });
      const end = await onScreen(page, { xM: 8.85, yM: 38.2 });
      // On its way it says what draws it, and the horse's words change under the hand; the fence is drawn on the canvas.
      await expect(drawing(page, 'willow')).toHaveCount(0);
      await expect.poll(() => inkAt(page, end)).toBe(true);
      expect(await inkAt(page, await onScreen(page, { xM: 3, yM: 5 }))).toBe(false);
      await expect(page.getByText(/easy five for Quill · left quarter line/)).toBeVisible();
      await expect(page.locator('[data-call="Quill"]').first()).toHaveText('easy five');
      await page.mouse.up();
      const dropped = await drawnAt(drawing(page, 'willow'));
      expect(dropped.xM).toBeCloseTo(8.75, 3);
      await expect.poll(() => inkAt(page, end)).toBe(false);
      await page.getByRole('button', { name: 'Undo' }).click();
      expect((await drawnAt(drawing(page, 'willow'))).yM).toBeCloseTo(34.5, 3);
    },
  );

test(
  'a painter beside the page that does not come, or breaks, is done without',
  { tag: '@full' },
  async ({ demoYard, page }) => {
    await page.addInitScript(`window.Worker = class extends Worker {
    constructor(...parts) { super(...parts); window.painter = this; }
  }`);
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Course of eight/ }).click();
    await paintedIn(page, 'worker');
    await page.evaluate(`window.painter.dispatchEvent(new ErrorEvent('error', { message: 'broken' }))`);
    await paintedIn(page, 'page');
    await hold(page, { xM: 8.75, yM: 34.5 }, { xM: 8.85, yM: 38.2 });
    const end = await onScreen(page, { xM: 8.85, yM: 38.2 });
    await expect.poll(() => inkAt(page, end)).toBe(true);
    await page.mouse.up();
    expect((await drawnAt(drawing(page, 'willow'))).yM).toBeGreaterThan(37);
  },
);

test(
  'an exercise is laid out and painted under the hand; what is undone meanwhile stays undone',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Four on the bend/ }).click();
    await paintedIn(page, 'worker');
    const places = async () =>
      Promise.all(['alder b1', 'alder b2', 'alder b3', 'alder b4'].map(id => drawnAt(drawing(page, id))));
    const before = await places();
    // Held by its second fence, it goes 2 m along and 1 m across, all four with it; Alt keeps lines from drawing it.
    const held = before[1]!;
    const to = { xM: held.xM - 1, yM: held.yM - 2 };
    await page.keyboard.down('Alt');
    await hold(page, held, to);
    const fourth = await onScreen(page, { xM: before[3]!.xM - 1, yM: before[3]!.yM - 2 });
    await expect.poll(() => inkAt(page, fourth)).toBe(true);
    await expect(drawing(page, 'alder b4')).toHaveCount(0);
    await page.mouse.up();
    await page.keyboard.up('Alt');
    const after = await places();
    after.forEach((at, index) => {
      expect(at.xM - before[index]!.xM).toBeCloseTo(-1, 1);
      expect(at.yM - before[index]!.yM).toBeCloseTo(-2, 1);
    });

    // Taken up again, undone while it is held, and let go half a metre on: it goes on from where it stands then.
    const further = { xM: after[1]!.xM - 0.5, yM: after[1]!.yM };
    const onWards = await onScreen(page, further);
    await page.keyboard.down('Alt');
    await hold(page, after[1]!, further);
    await page.keyboard.press('Control+z');
    await page.mouse.move(onWards.x, onWards.y + 1);
    await page.mouse.move(onWards.x, onWards.y);
    await page.mouse.up();
    await page.keyboard.up('Alt');
    const last = await places();
    last.forEach((at, index) => {
      expect(at.xM - before[index]!.xM).toBeCloseTo(-0.5, 1);
      expect(at.yM - before[index]!.yM).toBeCloseTo(0, 1);
    });
  },
);

test(
  'a fence goes where the hand lets it, and the ribbon slides it along its track',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Course of eight/ }).click();
    await expect(item(page, 'heron')).toBeVisible();
    // Alt lets it go where the hand goes; a click selects; the knob turns it.
    await page.keyboard.down('Alt');
    await drag(page, { xM: 8.75, yM: 34.5 }, { xM: 9.1, yM: 34.5 });
    await page.keyboard.up('Alt');
    expect((await drawnAt(drawing(page, 'willow'))).xM).toBeCloseTo(9.1, 1);
    await page.getByRole('button', { name: 'Undo' }).click();

    // On the ribbon the second post slides by keys: 10 cm along a straight track.
    await page.locator('[data-post="1"]').focus();
    await page.keyboard.press('ArrowRight');
    expect((await drawnAt(drawing(page, 'willow'))).yM).toBeCloseTo(34.6, 3);
    const post = (await page.locator('[data-post="1"]').boundingBox())!;
    await page.mouse.move(post.x + post.width / 2, post.y + 12);
    await page.mouse.down();
    await page.mouse.move(post.x + post.width / 2 + 60, post.y + 12, { steps: 5 });
    await page.mouse.up();
    expect((await drawnAt(drawing(page, 'willow'))).yM).toBeGreaterThan(37);

    // What is pointed at on the ribbon is marked on the sand.
    await page.locator('[data-post="3"]').hover();
    await expect(page.locator('[data-outline="marked"]')).toHaveCount(1);
  },
);

test(
  'layouts are found, tagged, copied, put away, kept as versions, saved as files and taken in',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    // By what is inside them, too: a figure, a gait, a month.
    for (const words of ['spiral in', 'running walk', 'supple quill']) {
      await page.getByLabel('Search the layouts').fill(words);
      await expect(page.getByRole('listitem').first()).toBeVisible();
      await expect(page.getByRole('listitem').filter({ hasText: 'Five trot poles' })).toHaveCount(0);
    }
    await expect(page.getByText(/^Changed \d+ [A-Z][a-z]+ 20\d\d/).first()).toBeVisible();
    await page.getByLabel('Search the layouts').fill('bend larkspur');
    await expect(page.getByRole('listitem')).toHaveCount(1);
    await page.getByRole('button', { name: /What to do with Four on the bend/ }).click();
    await page.getByRole('menuitem', { name: 'Tags' }).click();
    await page.getByLabel('Tags', { exact: true }).fill('Thursday,  suppleness');
    await page.getByRole('button', { name: 'Keep the tags' }).click();
    await page.getByLabel('Search the layouts').fill('');
    await page.getByRole('button', { name: 'thursday' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(1);
    await page.getByRole('button', { name: /What to do with Four on the bend/ }).click();
    await page.getByRole('menuitem', { name: 'Copy' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(2);
    await page.getByRole('button', { name: /What to do with Four on the bend for three \(copy\)/ }).click();
    await page.getByRole('menuitem', { name: 'Archive' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(1);
    await page.getByRole('switch', { name: 'Archived ones too' }).check();
    await expect(page.getByRole('listitem')).toHaveCount(2);

    // A version is kept, something changes, and it is told and brought back.
    await page.getByRole('link', { name: /Course of eight/ }).count();
    await page.getByRole('button', { name: 'thursday' }).click();
    await page.getByRole('link', { name: /Course of eight/ }).click();
    await expect(item(page, 'heron')).toBeVisible();
    const plan = page.url();
    await page.goto(`${plan}/versions`);
    await page.getByRole('button', { name: 'Keep it as it stands now' }).click();
    await expect(page.getByText('Nothing was changed after it.')).toBeVisible();
    await page.goto(plan);
    await item(page, 'heron').click();
    await type(page, 'From near short side', '17');
    await expect(saved(page)).toBeVisible();
    await page.goto(`${plan}/versions`);
    await expect(page.getByText('fence 1 moved 1.00 m')).toBeVisible();
    await page.getByRole('button', { name: 'Restore' }).last().click();
    await expect(item(page, 'heron')).toBeVisible();
    await expect.poll(async () => (await drawnAt(drawing(page, 'heron'))).yM).toBeCloseTo(16, 3);

    // The layout file goes out and comes in again as the same layout.
    const fetched = await page.request.get(plan.replace('/plan/', '/api/layouts/') + '/file');
    expect(fetched.headers()['content-disposition']).toContain('course-of-eight-low.roan.json');
    const file = await fetched.body();
    const svg = await page.request.get(plan.replace('/plan/', '/api/layouts/') + '/drawing');
    expect(await svg.text()).toContain('<title>Course of eight, low</title>');
    await page.goto(`${demoYard.url}/plan`);
    const takeIn = async (name: string, buffer: Buffer) => {
      const chooser = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Take a layout file in' }).click();
      await (await chooser).setFiles({ name, mimeType: 'application/json', buffer });
    };
    await takeIn('broken.json', Buffer.from('{"format":"roan-layout","version":7}'));
    await expect(
      page.getByText(/not taken in, and nothing was changed\. version: this Roan reads versions 1 and 2/),
    ).toBeVisible();
    await takeIn('course.roan.json', file);
    await expect(page.getByLabel('Name of the layout')).toHaveValue('Course of eight, low');
    expect(page.url()).not.toBe(plan);
    expect((await drawnAt(drawing(page, 'hazel'))).yM).toBeCloseTo(31.79, 3);
    // Two of one name are told apart by when they were changed.
    await page.goto(`${demoYard.url}/plan`);
    await expect(page.getByRole('link', { name: /Course of eight, low \(of \d+ .*\d\d:\d\d\)/ })).toHaveCount(2);
  },
);

test(
  'an arrangement of one’s own goes onto the shelf and comes from it',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Course of eight/ }).click();
    await item(page, 'linnet').click();
    await item(page, 'hazel').click({ modifiers: ['Shift'] });
    await page.getByRole('button', { name: 'Keep on the shelf' }).click();
    await page.getByLabel('Called', { exact: true }).fill('Diagonal of two');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Say what it is for.')).toBeVisible();
    await page.getByRole('combobox', { name: 'For' }).click();
    await page.getByRole('option', { name: 'straightness' }).click();
    await page.getByLabel('Called', { exact: true }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);

    await newLayout(page, demoYard.url, 'Again', 'Field arena', []);
    await page.getByRole('button', { name: 'Shelf' }).click();
    await page.getByLabel('Search the shelf').fill('diagonal of two');
    await page.getByRole('button', { name: /^Diagonal of two/ }).click();
    const [linnet, hazel] = [await drawnAt(drawing(page, 'A')), await drawnAt(drawing(page, 'B'))];
    // As far apart as they were kept: (5.65, 9.79) m.
    expect(hazel.xM - linnet.xM).toBeCloseTo(5.65, 3);
    expect(hazel.yM - linnet.yM).toBeCloseTo(9.79, 3);
  },
);

test('on a phone the layout is shown with all that can be done with it, and Roan says where it is easier', async ({
  demoYard,
  strictPage: page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demoYard.url}/plan`);
  await page.getByRole('link', { name: /Four on the bend/ }).click();
  await expect(page.getByText('Drawing is easier on a tablet or at a desk')).toBeVisible();
  await expect(page.locator('[data-kind="fence"]')).toHaveCount(4);
  const widest = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(widest).toBeLessThanOrEqual(390);
});

test('on a tablet two fingers come closer, and a long press selects together', async ({ demoYard, browser }) => {
  const context = await browser.newContext({ viewport: { width: 1180, height: 820 }, hasTouch: true });
  const page = await context.newPage();
  await page.goto(`${demoYard.url}/plan`);
  await page.getByRole('link', { name: /Course of eight/ }).tap();
  await expect(item(page, 'heron')).toBeVisible();
  // Where things lie on the screen is asked once all of the page is there.
  await expect(page.getByRole('button', { name: 'Add a piece' })).toBeEnabled();
  const touch = await context.newCDPSession(page);
  const put = (kind: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
    touch.send('Input.dispatchTouchEvent', {
      type: kind,
      touchPoints: points.map((point, id) => ({ ...point, id })),
    });
  const widthM = async () =>
    Number((await page.locator('[data-layer="still"]').getAttribute('viewBox'))!.split(' ')[2]);

  const [heron, hazel] = [await onScreen(page, { xM: 8.75, yM: 16 }), await onScreen(page, { xM: 19.15, yM: 31.79 })];
  await put('touchStart', [heron]);
  await put('touchEnd', []);
  await expect(item(page, 'heron')).toHaveAttribute('aria-pressed', 'true');
  await put('touchStart', [hazel]);
  await page.waitForTimeout(700);
  await put('touchEnd', []);
  await expect(page.getByRole('heading', { name: '2 things' })).toBeVisible();

  const before = await widthM();
  const middle = await onScreen(page, { xM: 17.5, yM: 30 });
  const apart = (byPx: number) => [
    { x: middle.x - byPx, y: middle.y },
    { x: middle.x + byPx, y: middle.y },
  ];
  await put('touchStart', apart(40));
  for (let step = 1; step <= 8; step += 1) await put('touchMove', apart(40 + step * 10));
  await put('touchEnd', []);
  expect(await widthM()).toBeLessThan(before * 0.6);
  await context.close();
});

test(
  'a post of an exercise slid by hand changes its distance, and it stays an exercise',
  { tag: '@full' },
  async ({ demoYard, strictPage: page }) => {
    await page.goto(`${demoYard.url}/plan`);
    await page.getByRole('link', { name: /Four on the bend/ }).click();
    await expect(item(page, 'alder b2')).toBeVisible();
    // The shelf comes behind the page.
    await page.waitForLoadState('networkidle');
    const gapM = async () => Number.parseFloat(await page.getByLabel('Distance from fence 1 to fence 2').inputValue());
    const before = await gapM();
    const along = (index: number) => page.locator(`[data-post="${index}"]`);
    const [start, post] = [(await along(0).boundingBox())!, (await along(1).boundingBox())!];
    const pxPerM = (post.x - start.x) / Number(await along(1).getAttribute('aria-valuenow'));
    const [x, y] = [post.x + post.width / 2, post.y + 12];
    const words = page.locator('[data-call]');
    const standing = await words.allTextContents();
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 14, y, { steps: 5 });
    // Once the hand rests, the words of its legs are those it will have.
    await expect.poll(() => words.allTextContents()).not.toEqual(standing);
    const held = await words.allTextContents();
    await page.mouse.up();
    // Less the few pixels by which a drag is told from a tap.
    await expect.poll(gapM).toBeGreaterThan(before + 9 / pxPerM);
    expect(await gapM()).toBeLessThan(before + 15 / pxPerM);
    expect(await words.allTextContents()).toEqual(held);
    // Where one stands to watch goes with the exercise: it is there still, and all gaps of the bend are alike.
    await expect(page.locator('[data-stand]')).toHaveCount(1);
    await expect(page.getByLabel('Distance from fence 2 to fence 3')).toHaveValue(
      await page.getByLabel('Distance from fence 1 to fence 2').inputValue(),
    );
  },
);
