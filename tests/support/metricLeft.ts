import type { Page } from '@playwright/test';

/** A figure in a unit that somebody who chose US units does not want to read alone. */
const METRIC = /[\d–] ?(°C|km\/h|kg|mm|cm|cm²|mm²|m²|kW|kJ|MJ|kN|N|N·m|bar|hPa|m\/s²|m\/s|m|km)(?![\w·²³/])/g;
/** The same in US units beside it, as prose has it. */
const BESIDE = /^.{0,24}(°F|\bmph|\bft|\bin|\blbf?|\bpsi|\bmiles)\b/;

/** What a page shown in US units says in metric ones alone: its text, its fields, its drawings and their names. */
export async function metricLeft(page: Page, where: string): Promise<string[]> {
  const lines = await page.evaluate(() => {
    const main = document.querySelector('main');
    if (!main) return [];
    const named = [...main.querySelectorAll('[aria-label], [title], [placeholder]')].flatMap((each) =>
      ['aria-label', 'title', 'placeholder'].map((name) => each.getAttribute(name) ?? ''),
    );
    const typed = [...main.querySelectorAll('input, textarea')].map(
      (each) => (each as HTMLInputElement).value,
    );
    const drawn = [...main.querySelectorAll('svg text, svg title')].map((each) => each.textContent ?? '');
    return [...main.innerText.split('\n'), ...named, ...typed, ...drawn];
  });
  const found = new Set<string>();
  for (const line of lines) {
    for (const match of line.matchAll(METRIC)) {
      const after = line.slice(match.index + match[0].length);
      if (!BESIDE.test(after)) found.add(line.slice(Math.max(0, match.index - 30), match.index + 12).trim());
    }
  }
  return [...found].map((what) => `${where}, in US units: “${what}”`);
}
