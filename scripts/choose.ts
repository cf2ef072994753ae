import type { Locator } from '@playwright/test';

/** Picks an option of a list that opens: by its value, or by its text. */
export async function choose(
  box: Locator,
  option: string | { label: string } | { index: number },
): Promise<void> {
  await box.click();
  const options = box.page().getByRole('option');
  if (typeof option === 'string') await box.page().locator(`[role=option][data-value="${option}"]`).click();
  else if ('label' in option)
    await options.filter({ hasText: new RegExp(`^${escaped(option.label)}$`) }).click();
  else await options.nth(option.index).click();
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
