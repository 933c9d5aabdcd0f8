import { existsSync } from 'node:fs'
import { ensureDebian } from './packages.mjs'

export const CHROMIUM = '/usr/bin/chromium'
/** Debian's Chromium without the services that would reach for a network. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export async function ensureChromium() {
  await ensureDebian('Chromium', () => existsSync(CHROMIUM), ['chromium', 'fonts-liberation'])
}

export async function launchBrowser() {
  await ensureChromium()
  const { chromium } = await import('@playwright/test')
  return chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
}
