import { expect, test } from './support/fixtures';

test('a line that suits two horses and not the third is fitted for all three, looked at first and taken', async ({
  demoYard,
  page,
}) => {
  await page.goto(`${demoYard.url}/plan`);
  await page.getByRole('link', { name: /Course of eight, low/ }).click();
  await page
    .getByRole('group', { name: 'Panel' })
    .or(page.getByRole('radiogroup', { name: 'Panel' }))
    .getByText('Fit', { exact: true })
    .click();
  const fit = page.getByRole('region', { name: 'Fit it' });
  const places = () =>
    page.locator('[data-layer="still"] [data-item]').evaluateAll(items => items.map(item => item.innerHTML).join(''));
  const before = await places();
  await fit.getByRole('button', { name: 'Fit it' }).click();
  const told = fit.getByRole('status');
  await expect(told).toContainText(/\d+ of 21 rides are quiet, easy or forward; before, \d+\./);
  const [, after, , was] = /(\d+) of (\d+) .*before, (\d+)/.exec((await told.textContent())!)!;
  expect(Number(after)).toBeGreaterThan(Number(was));
  // It is only shown: nothing moved yet.
  await expect(page.locator('[data-mend]')).toBeVisible();
  expect(await places()).toBe(before);
  await expect(fit.getByRole('table')).toContainText('Osprey');
  await fit.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.locator('[data-mend]')).toHaveCount(0);
  // For one horse alone, and then made.
  await fit.getByText('Larkspur').click();
  await fit.getByText('Quill').click();
  await fit.getByRole('button', { name: 'Fit it' }).click();
  await expect(told).toContainText(/of 7 rides/);
  await fit.getByRole('button', { name: 'Move them so' }).click();
  await expect.poll(places).not.toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(places).toBe(before);
});
