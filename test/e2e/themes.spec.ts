import AxeBuilder from '@axe-core/playwright'
import { deliver, expect, test } from './bench'
import { mainPaths } from './mainPaths'

for (const theme of ['day', 'night'] as const) {
  test(`${theme}: chosen by its button, remembered, and every main screen keeps WCAG 2 AA`, async ({
    page,
    house,
  }) => {
    await deliver(house)
    await page.goto(house.address)
    if (theme === 'night') await page.getByRole('button', { name: 'Night' }).click()
    for (const path of await mainPaths(house)) {
      await page.goto(house.address + path)
      await expect(page.locator(`.v-theme--${theme}`).first()).toBeVisible()
      await expect(page.locator('.frame-rail .ro').first()).toBeVisible()
      await expect(page.locator('h1')).toBeVisible()
      // Hints fade in; what is judged is how they stand.
      await page.waitForTimeout(500)
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa'])
        .exclude('.plot')
        .analyze()
      expect
        .soft(
          violations.map(
            v =>
              `${v.id}: ${v.nodes
                .slice(0, 3)
                .map(n => `${n.target.join(' ')} ${n.any[0]?.message ?? ''}`)
                .join(' | ')}`,
          ),
          path,
        )
        .toEqual([])
    }
  })
}
