import type { CDPSession, Page } from '@playwright/test'
import { testHouse, type TestHouse } from '../integration/house'
import { expect, test as base } from './bench'

/** A workshop with sign-in, opened by the name of its machine. */
const test = base.extend<object, { workshop: TestHouse }>({
  workshop: [
    // eslint-disable-next-line no-empty-pattern -- Playwright asks for a pattern, even of nothing
    async ({}, use) => {
      // As on a bench whose browser keeps passkeys: the machine calls itself by a name.
      process.env.HOST = 'localhost'
      const house = await testHouse({ demo: false, setUp: false })
      delete process.env.HOST
      await use(house)
      await house.stop()
    },
    { scope: 'worker', timeout: 300_000 },
  ],
})
const OWNER = { name: 'Mirela Quist', password: 'two locks and a weir' }

/** The browser gets a device that keeps passkeys, and whose holder shows who he is, or does not. */
async function device(page: Page): Promise<{ cdp: CDPSession; authenticatorId: string }> {
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('WebAuthn.enable')
  const { authenticatorId } = await cdp.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
    },
  })
  return { cdp, authenticatorId }
}

test('a tablet signs in by a passkey once one was added, and says what happened when it does not', async ({
  page,
  workshop,
}) => {
  const dialog = page.getByRole('dialog')
  const byPasskey = dialog.getByRole('button', { name: 'Sign in with a passkey' })
  await page.request.post(`${workshop.address}/api/workshop`, {
    data: { workshop: 'Weirside Bench', owner: OWNER },
  })
  const { cdp, authenticatorId } = await device(page)
  const section = page.getByRole('region', { name: 'Passkeys' })

  await test.step('added with the present password', async () => {
    await page.goto(`${workshop.address}/people`)
    await expect(section).toContainText('only under the name localhost')
    await section.getByLabel('Present password').fill('not the password')
    await section.getByRole('button', { name: 'Add a passkey' }).click()
    await expect(section).toContainText('not your present password')
    await section.getByLabel('Name of the passkey').fill('Bench tablet')
    await section.getByLabel('Present password').fill(OWNER.password)
    await section.getByRole('button', { name: 'Add a passkey' }).click()
    await expect(section.getByRole('listitem')).toContainText('Bench tablet')
    await expect(section.getByRole('listitem')).toContainText('never used')
  })

  await test.step('the same device is not asked for a second one', async () => {
    await section.getByLabel('Present password').fill(OWNER.password)
    await section.getByRole('button', { name: 'Add a passkey' }).click()
    await expect(section.getByRole('alert')).toContainText('has a passkey of yours')
  })

  await test.step('signs in by one press', async () => {
    await page.request.post(`${workshop.address}/api/sign-out`, { data: {} })
    await page.goto(`${workshop.address}/people`)
    await byPasskey.click()
    await expect(dialog).toHaveCount(0)
    await expect(section.getByRole('listitem')).toContainText('last used')
  })

  await test.step('a device whose holder does not show who he is signs nobody in', async () => {
    await page.request.post(`${workshop.address}/api/sign-out`, { data: {} })
    await page.goto(`${workshop.address}/people`)
    await cdp.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: false })
    await byPasskey.click()
    await expect(dialog.getByRole('alert')).toContainText('The device did not sign in')
    await cdp.send('WebAuthn.setUserVerified', { authenticatorId, isUserVerified: true })
    await byPasskey.click()
    await expect(dialog).toHaveCount(0)
  })

  await test.step('removed it is not offered any more', async () => {
    await section.getByRole('button', { name: 'Remove Bench tablet' }).click()
    await expect(section).toContainText('Passkey removed.')
    await page.request.post(`${workshop.address}/api/sign-out`, { data: {} })
    await page.goto(`${workshop.address}/people`)
    await expect(dialog.getByLabel('Name')).toBeFocused()
    await expect(dialog.getByLabel('Password')).toBeVisible()
    await expect(byPasskey).toHaveCount(0)
  })
})
