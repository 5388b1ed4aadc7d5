/** From a planted fault's reading to a mark, to a trial that reaches its target, to the learner's before and after. */
import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { DEMO_PASSWORD } from '../../demo/people'
import { handedIn, open, picture, placed, saved, signIn } from './bench-page'

test('a trial is shown live, read before and after, reaches the target and goes to the learner', async ({ page, browser }) => {
  await signIn(page)
  // A patch of L* 54 on a ground of 50: four steps apart, fifteen wanted.
  const id = await handedIn(await sharp({ create: { width: 800, height: 600, channels: 3, background: '#777777' } })
    .composite([{ input: { create: { width: 200, height: 200, channels: 3, background: '#818181' } }, left: 300, top: 200 }]).png().toBuffer())
  await open(page, `/bench/${id}/values`)
  const at = await placed(page)
  await page.keyboard.press('b')
  await page.mouse.move(...at(0.376, 0.335))
  await page.mouse.down()
  await page.mouse.move(...at(0.624, 0.665), { steps: 4 })
  await page.mouse.up()
  await page.getByLabel('What is it?').fill('the patch')
  await page.getByRole('button', { name: 'Keep the area' }).click()
  await page.locator('[data-reading="value.separation"]').getByRole('button', { name: 'mark it' }).click()
  await page.getByRole('form', { name: 'Correction' }).getByRole('button', { name: 'Mark it' }).click()
  await page.getByRole('button', { name: 'V1', exact: true }).click()
  await page.getByRole('button', { name: 'try it' }).click()
  await expect(page.getByRole('heading', { name: 'Trying V1' })).toBeVisible()

  const trial = page.getByRole('region', { name: 'Try it on the picture' }), lift = trial.getByRole('slider', { name: 'lower the value, lift it' })
  const shade = (): Promise<number> => picture(page).evaluate((canvas: HTMLCanvasElement) => canvas.getContext('2d')!.getImageData(400, 300, 1, 1).data[0]!)
  await lift.fill('8')
  await expect.poll(shade).toBeGreaterThan(140)
  await expect(trial.getByRole('status')).toContainText('Not yet')
  await lift.fill('14')
  await expect(trial.getByRole('status')).toContainText('The target is reached: at least 15 value steps')
  // L* 54 and 50 by the bytes; fourteen more makes 18, and the faded edge keeps a little back.
  await expect(trial.getByRole('row', { name: /from its surroundings/ })).toContainText(/4(17|18)/)
  await saved(page)
  await page.mouse.move(...at(0.5, 0.9))
  await page.locator('.wall').click({ position: { x: 60, y: 400 } })
  await page.keyboard.down(' ')
  await expect.poll(shade).toBe(0x81)
  await page.keyboard.up(' ')
  await expect.poll(shade).toBeGreaterThan(150)
  await page.keyboard.press('u')
  await expect.poll(async () => (await (await page.request.get(`/api/submissions/${id}/critique`)).json()).corrections[0].trial?.operations[0]?.by).toBe(8)
  await page.keyboard.press('y')
  await expect.poll(async () => (await (await page.request.get(`/api/submissions/${id}/critique`)).json()).corrections[0].trial?.operations[0]?.by).toBe(14)

  await page.request.post(`/api/submissions/${id}/release`)
  const learner = await (await browser.newContext()).newPage()
  await learner.request.post('/api/session', { data: { email: 'joss@harbour.example', password: DEMO_PASSWORD } })
  await learner.goto(`/critique/${id}`)
  const hold = learner.getByRole('button', { name: 'hold to see what is meant' })
  await expect(learner.locator('canvas[data-shows="1"]')).toBeAttached()
  await hold.focus()
  await learner.keyboard.down(' ')
  await expect(learner.locator('canvas[data-shows="1"]')).toBeVisible()
  await learner.keyboard.up(' ')
  await expect(learner.locator('canvas[data-shows="1"]')).toBeHidden()
})
