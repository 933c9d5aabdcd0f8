import type { Page } from '@playwright/test'

/** Chooses from a list. It is opened by its key: the field lies under the words that it shows. */
export async function choose(page: Page, label: string, option: string | RegExp) {
  await page.getByLabel(label, { exact: true }).press('ArrowDown')
  await page.getByRole('option', { name: option }).click()
}

/** On the intake form nothing is chosen beforehand. */
export const chooseModel = (page: Page, model: string) => choose(page, 'Model', model)
