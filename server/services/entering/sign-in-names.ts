/** Names that learners without an address sign in by: theirs, with dots; a number where that one is taken. */
import { listSignInNames } from '../../db/people/accounts'
import type { Db } from '../../db/pool'

const MOST = 50

/** "Ada Quill" → "ada.quill". Letters of any script stay as they are. */
export const signInNameOf = (name: string): string =>
  name
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '.')
    .replace(/^\.+|\.+$/g, '')
    .slice(0, MOST) || 'learner'

export async function freeSignInName(db: Db, name: string): Promise<string> {
  const own = signInNameOf(name),
    // The database holds names apart as it compares them: without regard to case and accents.
    plain = (n: string): string => n.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()
  const taken = new Set((await listSignInNames(db, own)).map(plain))
  if (!taken.has(plain(own))) return own
  for (let n = 2; ; n++) if (!taken.has(plain(`${own}${n}`))) return `${own}${n}`
}
