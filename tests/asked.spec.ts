import { projectJsonSchema } from '../src/model';
import { choose, expect, exported, importText, open, test, verdict } from './page';

/** Parts of the program that are fetched only once they are wanted: tips, lists, explanations. */

test('a tip comes for the pointer and for the focus, stays while the pointer goes to it, and goes with Escape, a press, a scroll', async ({
  page,
}) => {
  await open(page);
  const tip = page.getByRole('tooltip');
  const zone = page.getByRole('radio', { name: /^Braking zone 3,/ });
  const how = page.getByRole('button', { name: /^How this is calculated: / }).first();
  await how.hover();
  await expect(tip).toHaveText(/^How this is calculated/);
  await expect(how).toHaveAccessibleDescription(/^How this is calculated/);
  // Soon after one tip the next comes, and the way to a tip does not lose it.
  const box = await page.locator('[data-radix-popper-content-wrapper]').boundingBox();
  if (!box) throw new Error('the tip is nowhere');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.waitForTimeout(400);
  await expect(tip).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(tip).toHaveCount(0);
  await expect(how).toHaveAccessibleDescription('');
  await how.hover();
  await expect(tip).toHaveCount(1);
  await page.mouse.move(2, 2);
  await expect(tip).toHaveCount(0);
  // What is only for the pointer is not said for the focus.
  await how.focus();
  await page.waitForTimeout(500);
  await expect(tip).toHaveCount(0);
  await zone.focus();
  await expect(tip).toHaveCount(1);
  await expect(zone).toHaveAttribute('aria-describedby', /./);
  await zone.blur();
  await expect(tip).toHaveCount(0);
  await how.hover();
  await expect(tip).toHaveCount(1);
  await page.mouse.wheel(0, 300);
  await expect(tip).toHaveCount(0);
  await page.mouse.move(2, 2);
  await how.scrollIntoViewIfNeeded();
  await page.waitForTimeout(300);
  await how.hover();
  await expect(tip).toHaveCount(1);
  await page.mouse.down();
  await expect(tip).toHaveCount(0);
  await page.mouse.up();
  await expect(page.getByRole('dialog')).toContainText('Source.');
  await page.keyboard.press('Escape');
  await expect(how).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Source.');
});

test('a list opens by mouse and by keys before and after it has been fetched, and gives the focus back', async ({
  page,
}) => {
  await open(page);
  const plans = page.getByRole('combobox', { name: 'Plan' });
  for (const turn of [0, 1]) {
    await plans.focus();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('option').first()).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('option'), String(turn)).toHaveCount(0);
    await expect(plans).toBeFocused();
  }
  await choose(plans, { index: 1 });
  await expect(plans).toBeFocused();
  await expect(verdict(page)).toBeVisible();
});

test('the published schema is made when it is asked for, and is the command line’s', async ({ page }) => {
  await open(page);
  const { name, text } = await exported(page, 'Schema of the project file');
  expect(name).toBe('fervent-kettle-project.schema.json');
  expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(projectJsonSchema())));
});

test('what does not come says so, and the page goes on', async ({ page, quiet }) => {
  await page.route(/(ChoiceList|HowSheet|TipBubble|RefusedDialog)-.*\.js$/, (route) => route.abort());
  await open(page);
  const plans = page.getByRole('combobox', { name: 'Plan' });
  await plans.click();
  await expect(page.getByText('This did not come')).toBeVisible();
  await expect(plans).toBeVisible();
  await page
    .getByRole('button', { name: /^How this is calculated: / })
    .first()
    .hover();
  await page.waitForTimeout(500);
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('radio', { name: /^Braking zone 3,/ }).click();
  await expect(page.getByRole('radio', { name: /^Braking zone 3,/ })).toBeChecked();
  // A file that is refused is not refused in silence.
  await importText(page, 'odd.json', '{"format": "fervent-kettle-project", "version": 99}');
  await expect(page.getByText(/^odd\.json: .*version 99/)).toBeVisible();
  // The browser says which did not come.
  quiet.length = 0;
});
