/** A call's session in front of others: the bench with its clock, and the room's window that follows it. */
import { expect, test, type Page } from '@playwright/test'
import { pieceNamed } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { database, Person } from '../api/client'
import { callWith } from '../api/guests'
import { newAccount } from '../people'
import { accessible } from './bench-page'

const stamp = Date.now().toString(36),
  password = 'grey-heron-lamp',
  email = `session-${stamp}@school.example`
const PIECES = ['lemons', 'slipway', 'fog']
let links: readonly string[] = []

test.beforeAll(async () => {
  const connection = await database()
  await newAccount(connection, { email, name: 'Reed', password, house: 'instructor' })
  await connection.end()
  const pieces = await Promise.all(
    PIECES.map(async (title, i) => ({
      title,
      name: `Guest ${title}`,
      email: `${title}-${stamp}@x.example`,
      named: i === 1,
      question: 'Where does the eye go?',
      picture: await renderPiece(pieceNamed(title))
    }))
  )
  ;({ links } = await callWith(await Person.signedIn(email, { password }), `Quay evening ${stamp}`, pieces))
})

/** Mean brightness of what hangs, and how colourful it is. */
const hung = (page: Page) =>
  page.locator('canvas[data-which=own]').evaluate((canvas: HTMLCanvasElement) => {
    const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height)
    let chroma = 0
    for (let i = 0; i < data.length; i += 4)
      chroma += Math.max(...data.slice(i, i + 3)) - Math.min(...data.slice(i, i + 3))
    return { chroma: (4 * chroma) / data.length, lens: canvas.dataset.lens }
  })

test('is worked through from the bench, and the room sees what hangs and nothing else', async ({ browser }) => {
  test.setTimeout(120_000)
  const context = await browser.newContext()
  const reed = await context.newPage()
  await reed.request.post('/api/session', { data: { login: email, password } })
  await reed.goto('/desk')
  await reed.getByRole('tab', { name: 'Quay evening' }).click()
  await expect(reed.getByRole('heading', { level: 1 })).toHaveText('Three pieces wait, about twenty minutes.')
  await expect(reed.getByRole('link', { name: 'lemons' })).toBeVisible()
  await accessible(reed)
  await reed.getByRole('button', { name: 'Hold the session' }).click()
  await expect(reed.getByText('Three to go')).toBeVisible()
  await accessible(reed)
  const [room] = await Promise.all([
    reed.waitForEvent('popup'),
    reed.getByRole('button', { name: 'open the room’s window' }).click()
  ])
  await expect(room.getByRole('status')).toContainText('Quay evening')
  await reed.getByRole('button', { name: 'Begin' }).click()
  await expect(reed.locator('[data-test=session-clock]')).toContainText('of 6 min')
  await expect(room.getByText('lemons')).toBeVisible()
  await accessible(reed)

  // Walking on and choosing a lens is seen in the room; what is written and measured is not.
  await reed.keyboard.press('.')
  await expect(reed.getByRole('heading', { name: 'Values' })).toBeVisible()
  await expect.poll(async () => (await hung(room)).chroma).toBeGreaterThan(30)
  await reed.keyboard.press('2')
  await expect.poll(async () => [(await hung(room)).lens, (await hung(reed)).lens]).toEqual(['grey', 'grey'])
  await expect.poll(async () => (await hung(room)).chroma).toBeLessThan(2)
  await reed.getByLabel('Said of it').fill('The yellow leads. Quieten the jug.')
  for (const hidden of ['Guest', 'Values', 'The yellow leads', 'range'])
    expect(await room.locator('body').innerText()).not.toContain(hidden)
  expect(await room.locator('body').innerText()).toContain('lemons')

  const first = reed.url()
  await reed.getByRole('heading', { name: 'Values' }).click()
  await reed.keyboard.press('n')
  await expect(reed).not.toHaveURL(first)
  // Who agreed is named.
  await expect(room.getByText('slipway, Guest slipway')).toBeVisible()
  await reed.getByRole('button', { name: 'pause' }).click()
  await expect(room.getByText('A short pause.')).toBeVisible()
  await reed.getByRole('button', { name: 'go on' }).click()
  await expect(room.getByText('slipway, Guest slipway')).toBeVisible()
  await reed.getByRole('button', { name: 'park' }).click()
  await expect(room.getByText('fog')).toBeVisible()
  // A room that is opened anew is told all of it.
  await room.reload()
  await expect(room.getByText('fog')).toBeVisible()
  await expect.poll(async () => (await hung(room)).lens).toBe('squint')
  await reed.getByRole('button', { name: 'Next' }).click()
  await expect(reed.getByText('None waits; one parked.')).toBeVisible()
  await expect(reed.getByLabel('Said of it').first()).toHaveValue('The yellow leads. Quieten the jug.')
  await reed.getByRole('button', { name: 'end the session' }).click()
  await expect(reed.getByText(/Two of three talked about on/)).toBeVisible()
  await expect(room.getByText('That was all. Thank you.')).toBeVisible()

  const guest = await (await browser.newContext()).newPage()
  await guest.goto(links[0]!)
  await expect(guest.getByText('The yellow leads. Quieten the jug.')).toBeVisible()
  await accessible(guest)
})
