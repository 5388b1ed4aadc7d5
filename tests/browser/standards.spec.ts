/** What the critic makes of readings, and the standards of the house they are read by. */
import { expect, test } from '@playwright/test'
import { open, signIn, takeReading } from './bench-page'

test.beforeEach(({ page }) => signIn(page))

test("readings are the instructor's to overrule, and house standards move them at once", async ({ page }) => {
  await open(page, '/bench/9/values')
  const range = page.locator('[data-reading="value.range"]'),
    key = page.locator('[data-reading="value.key"]')
  await expect(range).toHaveAttribute('data-verdict', 'works')
  const aside = page.getByRole('region', { name: 'set aside' })
  await takeReading(page, 'value.key')
  await key.getByRole('button', { name: 'judge it otherwise' }).click()
  await key.getByRole('button', { name: 'set aside' }).click()
  await expect(aside.locator('[data-reading="value.key"]')).toBeVisible()
  await takeReading(page, 'value.range')
  await range.getByRole('button', { name: 'judge it otherwise' }).click()
  await range.getByRole('group').getByRole('button', { name: 'to fix' }).click()
  await expect(page.getByRole('region', { name: 'to fix' })).toContainText('(your verdict)')
  await page.reload()
  await expect(range).toHaveAttribute('data-verdict', 'fix')
  await expect(aside.locator('[data-reading="value.key"]')).toBeVisible()
  await key.getByRole('button', { name: 'take back' }).click()
  await expect(key).toHaveAttribute('data-verdict', 'works')

  await takeReading(page, 'value.range')
  await range.getByRole('button', { name: 'judge it otherwise' }).click()
  await range.getByRole('group').getByRole('button', { name: 'works' }).click()
  await expect(range).toHaveAttribute('data-verdict', 'works')

  await page.getByRole('button', { name: 'standards', exact: true }).click()
  const full = page.getByLabel('A full range')
  await full.fill('40')
  await full.blur()
  await expect(page.getByRole('alert')).toContainText('wider than a moderate one')
  await full.fill('58')
  await full.blur()
  await expect(page.getByRole('dialog').getByRole('status')).toHaveText('saved')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(range).toContainText('The range is full')
  await page.getByRole('button', { name: 'standards', exact: true }).click()
  await page.getByRole('button', { name: 'back to the shipped standards' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(range).toContainText('The range is moderate')
})
