/** What the bench's tests share: the picture on the wall, places on it, pieces handed in for one test. */
import AxeBuilder from '@axe-core/playwright'
import { expect, type Locator, type Page } from '@playwright/test'
import type { Correction } from '../../shared/critique'
import { DEMO_PASSWORD } from '../../demo/people'
import { Person } from '../api/client'

export async function signIn(page: Page): Promise<void> {
  const data = { login: 'tamsin@harbour.example', password: DEMO_PASSWORD }
  const answer = await page.request.post('/api/session', { data })
  expect(answer.ok(), await answer.text()).toBe(true)
}

export const picture = (page: Page): Locator => page.locator('canvas.picture[data-which="own"]')

/** A place on the picture, in fractions, as screen pixels. */
export async function placed(page: Page): Promise<(x: number, y: number) => readonly [number, number]> {
  const box = (await picture(page).boundingBox())!
  return (x, y) => [box.x + x * box.width, box.y + y * box.height]
}

/** Presses at the first place of the picture and draws to the others. */
export async function drag(page: Page, ...places: (readonly [number, number])[]): Promise<void> {
  const at = await placed(page)
  await page.mouse.move(...at(...places[0]!))
  await page.mouse.down()
  for (const place of places.slice(1)) await page.mouse.move(...at(...place), { steps: 4 })
  await page.mouse.up()
}

/** How soon a bench opens is asked by tests of its own: here a machine may take its time. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path)
  await expect(picture(page)).toHaveAttribute('data-lens', /./, { timeout: 15_000 })
}

/** Goes down the desk until a piece hangs in sight: it is hung a window at a time. */
export async function hangs(page: Page, piece: Locator): Promise<void> {
  await expect(async () => {
    await page.mouse.wheel(0, 4000)
    await expect(piece).toBeVisible({ timeout: 300 })
  }).toPass({ timeout: 30_000 })
}

/** Takes a reading in hand, so that its evidence is shown and what can be done with it stands at it. */
export async function takeReading(page: Page, id: string): Promise<Locator> {
  const reading = page.locator(`[data-reading="${id}"]`).first()
  await reading.locator('.sentence').click()
  return reading
}

/** No serious violation of WCAG as axe finds them. @param within what of the page; what a dialog dims is not read. */
export async function accessible(page: Page, within = 'body'): Promise<void> {
  // What is still fading in has not its own colours yet.
  await expect(page.locator('[class*="-enter-active"], [class*="-leave-active"]')).toHaveCount(0)
  const { violations } = await new AxeBuilder({ page }).include(within).analyze()
  expect(
    violations.filter(v => v.impact === 'serious' || v.impact === 'critical').map(v => `${v.id}: ${v.nodes[0]?.html}`)
  ).toEqual([])
}

export const saved = (page: Page): Promise<void> =>
  expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible()

/** Hands a file in and waits until it is measured. */
export async function handedIn(file: Buffer): Promise<number> {
  const joss = await Person.signedIn('joss'),
    response = await joss.handIn(file)
  const { id } = (await response.json()) as { id: number }
  await joss.measured(id)
  return id
}

/**
 * Corrections as they are kept, asked for by the page itself: a browser asks again when a kept-alive connection has
 * just closed.
 */
export const keptCorrections = (page: Page, id: number): Promise<Correction[]> =>
  page.evaluate(
    async url => ((await (await fetch(url)).json()) as { corrections: never[] }).corrections,
    `/api/submissions/${id}/critique`
  )
