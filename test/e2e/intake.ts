import type { Page } from '@playwright/test'

/** Chooses a model on the intake form; nothing is chosen beforehand. */
export async function chooseModel(page: Page, model: string) {
  await page.getByLabel('Model', { exact: true }).click()
  await page.getByRole('option', { name: model }).click()
}
