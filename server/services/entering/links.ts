/**
 * Links that are used once, and a guest's, which is theirs for as long as their piece is. What a link says is made from
 * its row and the house's secret each time it is needed: the table alone opens nothing, and a slip can be printed
 * again.
 */
import { createHmac, randomBytes } from 'node:crypto'
import { AppError } from '../../../shared/errors'
import type { LinkKind } from '../../../shared/link'
import { deleteLinksFor, findLink, insertLink, type LinkRow } from '../../db/people/links'
import { db, type Db } from '../../db/pool'
import { sealedByUs } from './secrets'

/** How long each is good for, in hours. */
const HOURS: Readonly<Record<LinkKind, number>> = {
  owner: 7 * 24,
  invitation: 21 * 24,
  reset: 1,
  address: 24,
  entry: 400 * 24
}
const PAGE: Readonly<Record<LinkKind, string>> = {
  owner: 'begin',
  invitation: 'enter',
  reset: 'enter',
  address: 'address',
  entry: 'entry'
}

const sealOf = ({ id, nonce }: LinkRow, secret: string): Buffer =>
  createHmac('sha256', secret).update(`link ${id} `).update(nonce).digest()

/** Where it leads within the application. @param secret of the house. */
export const pathOf = (link: LinkRow, secret: string): string =>
  `/${PAGE[link.kind]}/${link.id}-${sealOf(link, secret).toString('base64url')}`

/** A new one; those of its kind that waited for the same account are over. */
export async function makeLink(
  connection: Db,
  {
    kind,
    accountId,
    email = null
  }: { readonly kind: LinkKind; readonly accountId: number | null; readonly email?: string | null }
): Promise<LinkRow> {
  await deleteLinksFor(connection, accountId, [kind])
  const id = await insertLink(connection, { kind, accountId, email, hours: HOURS[kind] }, randomBytes(16))
  return (await findLink(connection, id))!
}

/** @param kinds that the asker has a use for. @throws AppError not-found for one that is used, over, or never was. */
export async function openLink(token: string, kinds: readonly LinkKind[]): Promise<LinkRow> {
  const [id, seal] = token.split(/-(.*)/s),
    link = /^\d{1,9}$/.test(id!) ? await findLink(db(), Number(id)) : null
  if (!link || !sealedByUs(seal, secret => sealOf(link, secret)) || !kinds.includes(link.kind))
    throw new AppError('not-found', 'This link is over: it was used, or its time is up. Ask for another one.')
  return link
}
