import AxeBuilder from '@axe-core/playwright'
import { deliver, expect, test } from './bench'

for (const theme of ['day', 'night'] as const) {
  test(`${theme}: chosen by its button, remembered, and every main screen keeps WCAG 2 AA`, async ({
    page,
    house,
  }) => {
    await deliver(house)
    await page.goto(house.address)
    if (theme === 'night') await page.getByRole('button', { name: 'Night' }).click()
    const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
    const id = (number: number) => jobs.find(j => j.job.number === number)!.job.id
    const paths = [
      '/',
      '/sets',
      '/rules',
      '/parts',
      '/sheets',
      '/sheets/osmund-27f',
      '/sheets/new',
      '/sheets/osmund-27f/edit',
      '/practice',
      '/instruments',
      `/jobs/${id(231)}/intake`,
      `/jobs/${id(231)}/inspection`,
      `/jobs/${id(231)}/as-found`,
      `/jobs/${id(228)}/findings`,
      `/jobs/${id(228)}/repair`,
      `/jobs/${id(228)}/soak`,
      `/jobs/${id(231)}/align`,
      `/jobs/${id(229)}/handover`,
    ]
    for (const path of paths) {
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
