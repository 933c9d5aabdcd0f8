import { expect, type Page } from '@playwright/test'

/**
 * Chooses from a list. It is opened by its key: the field lies under the words that it shows. A long list
 * draws only what is in sight, and draws it anew while it is scrolled: an option may go from under the hand.
 */
export async function choose(page: Page, label: string, option: string | RegExp) {
  const wanted = page.getByRole('option', { name: option })
  await expect(async () => {
    const options = page.getByRole('option')
    if ((await options.count()) === 0) await page.getByLabel(label, { exact: true }).press('ArrowDown')
    await options.first().waitFor({ timeout: 4000 })
    if ((await wanted.count()) === 0) {
      // Over the list, not over an option: that would be scrolled into sight first, back to where it was.
      await page.getByRole('listbox').last().hover({ timeout: 4000 })
      const last = await options.last().textContent()
      await page.mouse.wheel(0, 150)
      await page.waitForTimeout(50)
      // Past the wanted one and at the end: from the top again.
      if ((await wanted.count()) === 0 && (await options.last().textContent()) === last)
        await page.mouse.wheel(0, -10_000)
    }
    await wanted.click({ timeout: 1000 })
  }).toPass({ timeout: 30_000 })
}

/** On the intake form nothing is chosen beforehand. */
export const chooseModel = (page: Page, model: string) => choose(page, 'Model', model)
