/** From a planted fault's reading to a mark, to a trial that reaches its target, to the learner's before and after. */
import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { DEMO_PASSWORD } from '../../demo/people'
import { handedIn, keptCorrections, open, picture, placed, saved, signIn, takeReading } from './bench-page'

test('a trial is shown live, read before and after, reaches the target and goes to the learner', async ({
  page,
  browser
}) => {
  await signIn(page)
  // A patch of L* 54 on a ground of 50: four steps apart, fifteen wanted.
  const id = await handedIn(
    await sharp({ create: { width: 800, height: 600, channels: 3, background: '#777777' } })
      .composite([
        { input: { create: { width: 200, height: 200, channels: 3, background: '#818181' } }, left: 300, top: 200 }
      ])
      .png()
      .toBuffer()
  )
  await open(page, `/bench/${id}/values`)
  const at = await placed(page)
  await page.keyboard.press('b')
  await page.mouse.move(...at(0.376, 0.335))
  await page.mouse.down()
  await page.mouse.move(...at(0.624, 0.665), { steps: 4 })
  await page.mouse.up()
  await page.getByLabel('What is it?').fill('the patch')
  await page.getByRole('button', { name: 'Keep the area' }).click()
  const merges = await takeReading(page, 'value.separation')
  await merges.getByRole('button', { name: 'mark it' }).click()
  await merges.getByRole('button', { name: 'try it' }).click()
  await expect(page.getByRole('heading', { name: 'Trying V1' })).toBeVisible()

  const trial = page.getByRole('region', { name: 'Try it on the picture' }),
    lift = trial.getByRole('slider', { name: 'lower the value, lift it' })
  const shade = (): Promise<number> =>
    picture(page).evaluate(
      (canvas: HTMLCanvasElement) => canvas.getContext('2d')!.getImageData(400, 300, 1, 1).data[0]!
    )
  await lift.fill('8')
  await expect.poll(shade).toBeGreaterThan(140)
  await expect(trial.getByRole('status')).toContainText('Not yet')
  // From the slider's event to the picture on the wall.
  const live = await lift.evaluate(async (input: HTMLInputElement) => {
    const times: number[] = [],
      drawn = (): number => performance.getEntriesByName('wall-drawn').length
    for (let by = -20; by <= 20; by++) {
      const before = drawn(),
        start = performance.now()
      input.value = String(by)
      input.dispatchEvent(new Event('input', { bubbles: true }))
      while (drawn() === before && performance.now() - start < 2000) await new Promise(resolve => setTimeout(resolve))
      times.push(performance.now() - start)
      await new Promise(requestAnimationFrame)
    }
    return times.sort((p, q) => p - q)[times.length >> 1]!
  })
  console.log(`a trial follows its slider after ${live.toFixed(0)} ms`)
  expect(live).toBeLessThan(150)
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
  await expect(lift).toHaveValue('8')
  await expect
    .poll(async () => (await keptCorrections(page, id))[0]!.trial?.operations[0])
    .toEqual({ kind: 'value', by: 8 })
  // Shown as it is kept.
  await expect.poll(shade).toBeLessThan(157)
  await page.keyboard.press('y')
  await expect
    .poll(async () => (await keptCorrections(page, id))[0]!.trial?.operations[0])
    .toEqual({ kind: 'value', by: 14 })

  await page.request.post(`/api/submissions/${id}/release`)
  const learner = await (await browser.newContext()).newPage()
  await learner.request.post('/api/session', { data: { login: 'joss@harbour.example', password: DEMO_PASSWORD } })
  await learner.goto(`/critique/${id}`)
  const hold = learner.getByRole('button', { name: 'hold to see what is meant' })
  await expect(learner.locator('canvas[data-shows="1"]')).toBeAttached()
  await hold.focus()
  await learner.keyboard.down(' ')
  await expect(learner.locator('canvas[data-shows="1"]')).toBeVisible()
  await learner.keyboard.up(' ')
  await expect(learner.locator('canvas[data-shows="1"]')).toBeHidden()
})

test('a verdict is proposed from the marks, and a score adds up beside its evidence', async ({ page }) => {
  await signIn(page)
  const id = await handedIn(
    await sharp({ create: { width: 400, height: 300, channels: 3, background: '#777777' } })
      .composite([
        { input: { create: { width: 400, height: 90, channels: 3, background: '#919191' } }, left: 0, top: 0 }
      ])
      .png()
      .toBuffer()
  )
  await page.request.post(`/api/submissions/${id}/corrections`, {
    data: {
      station: 'values',
      area: null,
      readingId: 'value.range',
      reason: '',
      what: 'The values stay in the middle',
      todo: 'Push the darkest dark down',
      target: { measure: 'range', atLeast: 70 }
    }
  })
  await open(page, `/bench/${id}/verdict`)
  await expect(page.locator('[data-test="clock"]')).toHaveText('0 of 25 min')
  await page.getByRole('button', { name: 'propose words from what is marked and read' }).click()
  await expect(page.getByRole('textbox', { name: 'Verdict and the next step' }).locator('p')).toHaveText([
    /^Begin with V1\. The jump from darkest dark/
  ])
  await page.getByRole('button', { name: 'score it' }).click()
  const darks = page.getByRole('radiogroup', { name: /Darks are dark/ })
  await expect(page.locator('.score')).toContainText('The range is narrow')
  await darks.getByRole('radio', { name: '3' }).click()
  await expect(darks.getByRole('radio', { name: '3' })).toBeChecked()
  await page.getByRole('radiogroup', { name: 'One light holds everything' }).getByRole('radio', { name: 'n/a' }).click()
  await page.getByRole('radiogroup', { name: 'One colour leads' }).getByRole('radio', { name: '8' }).click()
  // 3 and 8 of 18: 61 %.
  await expect(page.getByText('11 of 18, 61 %')).toBeVisible()
})
