import type { Page } from '@playwright/test';

/** Notes the tasks of the page's main thread over 50 ms from now on. */
export async function watchTasks(page: Page): Promise<void> {
  await page.evaluate(() => {
    const tasks: number[] = [];
    (globalThis as unknown as { longTasks: number[] }).longTasks = tasks;
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map((e) => e.duration))).observe({
      type: 'longtask',
    });
  });
}
/** The tasks noted since, ms. */
export function tasksOf(page: Page): Promise<number[]> {
  return page.evaluate(() => (globalThis as unknown as { longTasks: number[] }).longTasks);
}
