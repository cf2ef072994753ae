import type { Page } from '@playwright/test';

/** What a stranger did to get from nothing to a verdict on an own car at an own circuit. */
export interface FirstHour {
  /** Fields and choices that were touched */
  readonly inputs: number;
  /** Pages that were gone to */
  readonly pages: number;
  readonly keystrokes: number;
  /** From the first key to the verdict, ms, with no time to think */
  readonly ms: number;
  readonly verdict: string;
}

/** Eight braking zones of an invented circuit, as a spreadsheet gives them. */
export const EIGHT_ZONES = `Corner\tFrom (km/h)\tTo (km/h)\tTo the next (m)
Gatepost\t158\t72\t310
Orchard\t146\t96\t240
Crook\t139\t58\t180
Mill\t116\t70\t420
Stile\t133\t84\t150
Ford\t110\t61\t330
Barn\t148\t96\t260
Rick\t138\t77\t390
`;

/** Keys alone, counted. */
class Keys {
  inputs = 0;
  pages = 0;
  strokes = 0;
  constructor(private readonly page: Page) {}

  async press(key: string): Promise<void> {
    this.strokes += 1;
    await this.page.keyboard.press(key);
  }

  async type(text: string): Promise<void> {
    this.strokes += text.length;
    await this.page.keyboard.type(text);
  }

  /** Tabs until what is called so has the focus. */
  async goTo(wanted: string): Promise<void> {
    for (let i = 0; i < 120; i++) {
      const here = await this.page.evaluate((want) => {
        const at = document.activeElement;
        const labelled = at?.id
          ? document.querySelector(`label[for="${CSS.escape(at.id)}"]`)?.textContent
          : '';
        const group = at?.closest('[role=radiogroup]')?.getAttribute('aria-label') ?? '';
        const names = [at?.getAttribute('aria-label') ?? '', labelled ?? '', at?.textContent ?? '', group];
        return names.some((name) => name.trim().startsWith(want));
      }, wanted);
      if (here) return;
      await this.press('Tab');
    }
    throw new Error(`The keyboard does not reach “${wanted}”.`);
  }

  async fill(label: string, text: string): Promise<void> {
    await this.goTo(label);
    this.inputs += 1;
    await this.type(text);
  }

  /** Arrows step through a group of choices to the one with the value. */
  async pick(group: string, value: string): Promise<void> {
    await this.goTo(group);
    this.inputs += 1;
    for (let i = 0; i < 12; i++) {
      const now = await this.page.evaluate(() => document.activeElement?.getAttribute('data-value'));
      if (now === value) {
        await this.press(' ');
        return;
      }
      await this.press('ArrowRight');
    }
    throw new Error(`There is no ${value} in “${group}”.`);
  }

  /** Opens a list and types what it is to be. */
  async choose(label: string, text: string): Promise<void> {
    await this.goTo(label);
    this.inputs += 1;
    await this.press('Enter');
    // A slow machine opens the list a moment later; keys before that are lost.
    await this.page.getByRole('option').first().waitFor();
    await this.type(text);
    await this.page.locator('[role=option][data-highlighted]').filter({ hasText: text }).waitFor();
    await this.press('Enter');
    await this.page.getByRole('option').first().waitFor({ state: 'detached' });
  }

  async paste(label: string, text: string): Promise<void> {
    await this.goTo(label);
    this.inputs += 1;
    this.strokes += 1;
    await this.page.evaluate((pasted) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', pasted);
      document.activeElement?.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
      );
    }, text);
  }

  /** Presses what leads to another page. */
  async on(button: string, heading: string): Promise<void> {
    await this.goTo(button);
    await this.press('Enter');
    await this.page.getByRole('heading', { name: heading }).waitFor();
    this.pages += 1;
  }
}

/**
 * Enters a car by twelve answers and a circuit by eight pasted braking zones, with the keyboard alone, from the first
 * screen to the verdict.
 */
export async function firstHour(page: Page): Promise<FirstHour> {
  const begun = Date.now();
  const keys = new Keys(page);
  await keys.on('Enter my car', 'Enter my car');
  await keys.pick('Kind of car', 'hot-hatch');
  await keys.fill('Mass with the driver', '1390');
  await keys.fill('Power, from the papers', '180');
  await keys.pick('Driven wheels', 'front');
  await keys.pick('Tyres', 'sport');
  await keys.fill('Diameter', '320');
  await keys.fill('Thickness', '28');
  await keys.pick('Front disc, vented', 'vented');
  await keys.pick('Front disc, mounting', 'one-piece');
  await keys.pick('Front caliper', 'sliding');
  await keys.pick('Pistons of a front', '1');
  await keys.pick('Rear brakes', 'disc');
  await keys.fill('Disc diameter', '290');
  await keys.choose('Pads', 'Track');
  await keys.choose('Fluid', 'Good');
  await keys.fill('Age', '6');
  await keys.on('Next: the circuit', 'Where it is driven');
  await keys.paste('From of braking zone 1', EIGHT_ZONES);
  await page.getByText('8 braking zones were read').waitFor();
  await keys.on('Next: the day', 'What is driven');
  await keys.goTo('To the verdict');
  await keys.press('Enter');
  const verdict = page.getByTestId('verdict');
  await verdict.filter({ hasText: '.' }).waitFor();
  await page.getByLabel('Plan on the workbench').filter({ hasText: 'My hot hatch' }).waitFor();
  const { inputs, pages, strokes } = keys;
  const text = (await verdict.textContent()) ?? '';
  return { inputs, pages, keystrokes: strokes, ms: Date.now() - begun, verdict: text };
}
