import { chromium, type Page } from '@playwright/test'
import { removeFolder } from '#server/remove-folder'
import { finish, openSite, start, temporaryFolder } from '../e2e/application'
import { noteSites } from '../e2e/template'
import { CHROMIUM } from '../playwright.config'

/** Runs something with the demo site open in Compose, in an application of its own, and ends both after it. */
export async function onDemo(run: (page: Page) => Promise<void>): Promise<void> {
  const data = temporaryFolder()
  await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
  process.env.YARROWFINCH_TEMPLATE = data
  noteSites(data)
  const app = await start(data)
  const browser = await chromium.launch(CHROMIUM)
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await openSite(page, app, 'Hollin Ridge Observatory')
    await run(page)
  } finally {
    await browser.close()
    await app.stop('SIGKILL')
    removeFolder(data)
  }
}
