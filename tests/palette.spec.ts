import { demoProject } from '../demo/project';
import { fieldAddress, fieldsOf } from '../src/app/shared/fieldPlace';
import { setupOf } from '../src/model';
import { expect, open, project, settled, test, turnTo } from './page';

test('a page, a command, a plan or a field is found by a part of its name, with the keyboard alone', async ({
  page,
}) => {
  await open(page, '/');
  const box = page.getByRole('combobox', { name: 'Find' });
  const find = async (text: string) => {
    await page.keyboard.press('Control+k');
    await box.fill(text);
  };
  await find('run sh');
  await expect(page.getByRole('option', { name: 'Run sheet Decide' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/decide\/sheet$/);
  await expect(box).toHaveCount(0);

  // A field of another page, then one of the page that is open.
  await find('front outer diam');
  await page.keyboard.press('Enter');
  const diameter = page.getByRole('textbox', { name: 'Outer diameter', exact: true }).first();
  await expect(diameter).toBeFocused();
  await find('wheelbase');
  await page.keyboard.press('Enter');
  const wheelbase = page.getByRole('textbox', { name: 'Wheelbase', exact: true });
  await expect(wheelbase).toBeFocused();
  await wheelbase.fill('2444');
  await expect.poll(async () => (await project(page)).cars[0].wheelbaseMm).toBe(2444);

  await find('undo');
  await page.keyboard.press('Enter');
  await expect
    .poll(async () => (await project(page)).cars[0].wheelbaseMm)
    .toBe(demoProject.cars[0].wheelbaseMm);
  await find(demoProject.plans[1].name);
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await project(page)).selectedPlanId).toBe(demoProject.plans[1].id);
  await find('no such thing anywhere');
  await expect(page.getByText('Nothing has that in its name')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(box).toHaveCount(0);
});

test('every field that is offered is there where it leads', async ({ page }) => {
  await open(page, '/');
  await settled(page);
  const missing: string[] = [];
  for (const plan of [demoProject.plans[0], demoProject.plans[2]]) {
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Find' }).fill(plan.name);
    if (plan === demoProject.plans[0]) await page.keyboard.press('Escape');
    else await page.keyboard.press('Enter');
    const setup = setupOf(demoProject, plan.id);
    const places = (['cars', 'plans'] as const).flatMap((shelf) =>
      fieldsOf(shelf, shelf === 'cars' ? setup.car : setup.plan).map((place) =>
        fieldAddress(shelf, place, setup),
      ),
    );
    for (const route of new Set(places.map((place) => place.split('#')[0]))) {
      await turnTo(page, route);
      const wanted = places
        .filter((place) => place.startsWith(`${route}#`))
        .map((place) => place.split('#')[1]);
      const absent = () =>
        page.locator('[data-path]').evaluateAll((all, paths) => {
          const there = all.map((field) => field.getAttribute('data-path'));
          return paths.filter((path) => !there.includes(path));
        }, wanted);
      // The page may still be on its way.
      await expect
        .poll(async () => (await absent()).length, { timeout: 6000 })
        .toBe(0)
        .catch(() => {});
      missing.push(...(await absent()).map((path) => `${route}#${path}`));
    }
  }
  expect(missing).toEqual([]);
});
