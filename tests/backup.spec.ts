import { readFileSync } from 'node:fs';
import { expect, project, test, visit } from './page';

test('everything in a browser goes out as one file and comes to an empty one; what is here stays unless it is to be replaced', async ({
  page,
  browser,
}) => {
  // A first browser: an edit, a kept log, preferences.
  await visit(page, '/plan');
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Backed up');
  await page.getByRole('button', { name: 'Units and look' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'All US' }).click();
  await page.keyboard.press('Escape');
  await visit(page, '/log/logs');
  await page.getByTestId('log-file').setInputFiles('src/app/public/samples/anvil-log.csv');
  await page.getByRole('button', { name: 'Read the log' }).click();
  await expect(page).toHaveURL(/\/log\/laps\?log=/);
  await visit(page, '/library');
  const panel = page.getByRole('region', { name: 'Backup' });
  await expect(page.getByTestId('backup-state')).toContainText('No backup was made');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    panel.getByRole('button', { name: 'Back up everything' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^fervent-kettle-backup-\d{4}-\d\d-\d\d\.zip$/);
  await expect(page.getByTestId('backup-state')).toContainText('The last backup was made on');
  const zip = readFileSync(await file.path());

  // Another browser, in which something else is kept.
  const context = await browser.newContext();
  const other = await context.newPage();
  await visit(other, '/plan');
  await other.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Of the other');
  await expect.poll(async () => (await project(other)).plans[0].name).toBe('Of the other');
  await visit(other, '/library');
  const take = other.getByTestId('backup-file');
  await take.setInputFiles({ name: 'half.zip', mimeType: 'application/zip', buffer: zip.subarray(0, 2000) });
  await expect(other.getByTestId('refusal')).toContainText('no zip file that can be read');
  await take.setInputFiles({ name: 'mine.zip', mimeType: 'application/zip', buffer: zip });
  const preview = other.getByTestId('backup-preview');
  await expect(preview).toContainText('is here with other contents');
  await expect(preview).toContainText('1 log (1 new)');
  await preview.getByRole('button', { name: 'Add what is new' }).click();
  await expect(other.getByRole('region', { name: 'Projects' }).getByRole('listitem')).toHaveCount(2);
  expect((await project(other)).plans[0].name).toBe('Of the other');
  await visit(other, '/log/logs');
  await expect(other.getByText('anvil-log').first()).toBeVisible();

  await visit(other, '/library');
  await take.setInputFiles({ name: 'mine.zip', mimeType: 'application/zip', buffer: zip });
  await preview.getByRole('button', { name: 'Replace everything here' }).click();
  await other.getByRole('button', { name: 'Replace it', exact: true }).click();
  await expect(other.getByRole('region', { name: 'Projects' }).getByRole('listitem')).toHaveCount(1);
  await expect.poll(async () => (await project(other)).plans[0].name).toBe('Backed up');
  // Preferences came with it; what went is kept aside.
  await visit(other, '/plan');
  await expect(other.getByText(/°F/).first()).toBeVisible();
  await other.getByRole('button', { name: 'Files' }).click();
  await other.getByRole('menuitem', { name: /Texts kept aside/ }).click();
  await expect(other.getByRole('dialog')).toContainText('Replaced by the backup of');
  await context.close();
});

test('a backup is called for when the last one is a month old and something is kept here, and leaves be for a week', async ({
  page,
}) => {
  await visit(page, '/plan');
  const reminder = page.getByTestId('backup-reminder');
  await page.getByRole('textbox', { name: 'Name', exact: true }).first().fill('Worth keeping');
  await expect.poll(async () => (await project(page)).plans[0].name).toBe('Worth keeping');
  await expect(reminder).toHaveCount(0);
  const age = (days: number) =>
    page.evaluate((ago) => {
      const kept = JSON.parse(localStorage.getItem('fervent-kettle-backup') ?? '{}');
      const older = (ms: number | null) => ms && ms - ago * 86_400_000;
      localStorage.setItem(
        'fervent-kettle-backup',
        JSON.stringify({ since: older(kept.since), made: older(kept.made), later: older(kept.later) }),
      );
    }, days);
  await age(31);
  await page.reload();
  await expect(reminder).toContainText('No backup was made for 31 days');
  await reminder.getByRole('button', { name: 'Later' }).click();
  await page.reload();
  await expect(page.getByRole('navigation', { name: 'Pages' })).toBeVisible();
  await expect(reminder).toHaveCount(0);
  await age(8);
  await page.reload();
  await reminder.getByRole('link', { name: 'Back up' }).click();
  await expect(page).toHaveURL(/\/library#backup$/);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up everything' }).click(),
  ]);
  expect(await file.path()).toBeTruthy();
  await page.reload();
  await expect(page.getByTestId('backup-state')).toContainText('The last backup was made on');
  await expect(reminder).toHaveCount(0);
});
