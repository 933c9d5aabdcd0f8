import type { Browser } from '@playwright/test'

export const CHROMIUM: string
export const CHROMIUM_ARGS: string[]
export function ensureChromium(): Promise<void>
export function launchBrowser(): Promise<Browser>
