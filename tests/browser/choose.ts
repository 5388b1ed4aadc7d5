import { expect, type Locator, type Page } from '@playwright/test'

/**
 * One of a list is chosen as a person does: the list opened, once more where the page was still settling under the
 * hand, and what is wanted clicked.
 * @param field the label's control; its input lies under what it shows, so that a click has to be forced.
 */
export async function choose(page: Page, field: Locator, option: string): Promise<void> {
  const wanted = page.getByRole('option', { name: option, exact: true })
  await expect(async () => {
    if (!(await wanted.isVisible())) await field.click({ force: true, timeout: 2000 })
    await wanted.click({ timeout: 2000 })
  }).toPass({ timeout: 30_000 })
}
