/** What matters, kept for the owner: who, when, what; no picture and no words of a critique. */
import { formatISO } from 'date-fns'
import Papa from 'papaparse'
import { AUDIT_WORDS, type AuditPage } from '../../../shared/audit'
import { listAudit } from '../../db/people/audit'
import { db } from '../../db/pool'

export { insertAudit as audit } from '../../db/people/audit'

const A_PAGE = 100,
  MOST_EXPORTED = 100_000

export async function auditPage(after: number | null): Promise<AuditPage> {
  const found = await listAudit(db(), { before: after, most: A_PAGE + 1 }),
    items = found.slice(0, A_PAGE)
  return { items, next: found.length > A_PAGE ? items.at(-1)!.id : null }
}

/** All of it, for a spreadsheet; a cell that looks like a formula is kept from being one. */
export async function auditTable(): Promise<string> {
  const entries = await listAudit(db(), { before: null, most: MOST_EXPORTED })
  return (
    Papa.unparse(
      entries.map(e => ({
        when: formatISO(new Date(e.at)),
        who: e.actor,
        what: AUDIT_WORDS[e.action],
        whom: e.account,
        class: e.className,
        piece: e.submissionId ?? '',
        detail: e.detail
      })),
      { escapeFormulae: true }
    ) + '\r\n'
  )
}
